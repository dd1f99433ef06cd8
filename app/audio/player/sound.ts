import { outputClock, type AudioClock } from "~/audio/clock";
import type { ClickVoice } from "~/core/click";
import { ClickEngine, type MarkerPassed } from "~/audio/engine";

/** A live sound: a context, the click engine in it, and its clock. */
export interface Sound {
  readonly engine: ClickEngine;
  readonly clock: AudioClock;
  readonly context: AudioContext;
  now(): number;
  resume(): Promise<void>;
  close(): Promise<void>;
}

/** Must be called from a press or a key: browsers start sound only then. */
export async function openSound(
  { volume, voice }: { readonly volume: number; readonly voice: ClickVoice },
  onMarker: (passed: MarkerPassed) => void,
): Promise<Sound> {
  const context = new AudioContext({ latencyHint: "interactive" });
  await context.resume();
  const engine = await ClickEngine.create(context, { volume, onMarker });
  engine.setVoice(voice);
  engine.connect(context.destination);
  return {
    engine,
    clock: outputClock(context),
    context,
    now: () => context.currentTime,
    resume: () => context.resume(),
    async close() {
      engine.dispose();
      await context.close();
    },
  };
}
