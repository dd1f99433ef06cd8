import { deviceMicrophone, MicrophoneMissing, type NoMicrophone } from "~/audio/microphone";

const SECONDS = 4;
const LOOK_MS = 50;
/** Peaks as shares of full scale: below the first nothing was heard, below the second too little. */
const HEARD = 0.004;
const ENOUGH = 0.03;
const CLIPS = 0.99;

/** What a microphone test came to. */
export type Listened = "well" | "quiet" | "clipped" | "nothing" | NoMicrophone;

/** Listens for a few seconds to the device's microphone. */
export async function listenShortly(): Promise<Listened> {
  const context = new AudioContext();
  try {
    const microphone = await deviceMicrophone(context);
    const analyser = context.createAnalyser();
    microphone.node.connect(analyser);
    const samples = new Float32Array(analyser.fftSize);
    let peak = 0;
    for (let n = 0; n < (SECONDS * 1000) / LOOK_MS; n++) {
      await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
      analyser.getFloatTimeDomainData(samples);
      for (const sample of samples) peak = Math.max(peak, Math.abs(sample));
    }
    microphone.close();
    if (peak >= CLIPS) return "clipped";
    if (peak < HEARD) return "nothing";
    return peak < ENOUGH ? "quiet" : "well";
  } catch (error) {
    if (error instanceof MicrophoneMissing) return error.why;
    throw error;
  } finally {
    await context.close();
  }
}
