/** Share of each partial, from the fundamental: reedy enough to be heard through an instrument. */
const PARTIALS = [0.5, 0.26, 0.12, 0.07, 0.05];
const SWELL_SECONDS = 0.08;

/** A sustained pitch that swells in and out, so that it neither begins nor ends with a pop. */
export class DroneVoice {
  private phase = 0;
  private gain = 0;
  private target: number;

  constructor(
    readonly hz: number,
    level: number,
    private readonly sampleRate: number,
  ) {
    this.target = level;
  }

  /** From here on as loud as this; 0 lets it die away. */
  setLevel(level: number): void {
    this.target = level;
  }

  get over(): boolean {
    return this.target === 0 && this.gain === 0;
  }

  /** Adds its next samples to a quantum. */
  mix(output: Float32Array): void {
    const step = 1 / (SWELL_SECONDS * this.sampleRate);
    const turn = this.hz / this.sampleRate;
    for (let i = 0; i < output.length; i++) {
      const way = this.target - this.gain;
      this.gain += Math.sign(way) * Math.min(step, Math.abs(way));
      let sample = 0;
      for (let n = 0; n < PARTIALS.length; n++) {
        sample += PARTIALS[n]! * Math.sin(2 * Math.PI * (n + 1) * this.phase);
      }
      output[i]! += this.gain * sample;
      this.phase = (this.phase + turn) % 1;
    }
  }
}
