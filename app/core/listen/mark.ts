const MARK_SECONDS = 0.012;
const FROM_HZ = 1000;
const TO_HZ = 5000;
const LOUD = 0.6;
/** Of the mark's height; what an encoder smears ahead of it lies below. */
const THRESHOLD = 0.25;
const REFINED_SECONDS = 0.006;

/**
 * A short rising tone, written into a recording at a known frame so that every other frame of it is
 * known too, whatever an encoder puts before it. Samples in -1..1.
 */
export function takeMark(sampleRate: number): Float32Array {
  const length = Math.round(MARK_SECONDS * sampleRate);
  return Float32Array.from({ length }, (_, i) => {
    const at = i / sampleRate;
    const phase = 2 * Math.PI * (FROM_HZ + ((TO_HZ - FROM_HZ) * at) / (2 * MARK_SECONDS)) * at;
    return LOUD * Math.sin(Math.PI * ((i + 0.5) / length)) ** 2 * Math.sin(phase);
  });
}

/**
 * The sample at which the mark begins; undefined where there is none. Nothing but the mark may sound
 * before it: the first loud sample is near it, and the best match around that is it.
 */
export function findMark(samples: Float32Array, sampleRate: number): number | undefined {
  const mark = takeMark(sampleRate);
  const near = samples.findIndex((sample) => Math.abs(sample) > THRESHOLD * LOUD);
  if (near < 0) return undefined;
  const reach = Math.round(REFINED_SECONDS * sampleRate);
  let best = { at: -1, match: 0 };
  for (let at = near - 2 * reach; at <= near + reach; at++) {
    let match = 0;
    for (let i = 0; i < mark.length; i++) match += mark[i]! * (samples[at + i] ?? 0);
    if (match > best.match) best = { at, match };
  }
  const whole = mark.reduce((sum, sample) => sum + sample ** 2, 0);
  return best.match > THRESHOLD * whole ? best.at : undefined;
}
