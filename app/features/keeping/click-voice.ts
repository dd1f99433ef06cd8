import * as v from "valibot";
import { kept } from "~/components/kept";
import { clickVoiceSchema, USUAL_VOICE, type ClickVoice } from "~/core/click";

const KEY = "fidus-click";
const stored = v.pipe(v.string(), v.parseJson(), clickVoiceSchema);

/** How the click sounds on this device. */
export function keptVoice(): ClickVoice {
  const read = v.safeParse(stored, kept.get(KEY));
  return read.success ? read.output : USUAL_VOICE;
}

export const keepVoice = (voice: ClickVoice): void => kept.set(KEY, JSON.stringify(voice));
