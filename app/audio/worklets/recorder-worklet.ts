/** Passes on what it hears, with the frame at which it was heard; for measuring. */
class RecorderProcessor extends AudioWorkletProcessor {
  private nextFrame: number | undefined;

  process([input]: Float32Array[][]): boolean {
    const frame = Math.max(this.nextFrame ?? currentFrame, currentFrame);
    const samples = input?.[0];
    if (samples) {
      this.nextFrame = frame + samples.length;
      this.port.postMessage({ frame, samples: samples.slice() });
    }
    return true;
  }
}

registerProcessor("fidus-recorder", RecorderProcessor);
