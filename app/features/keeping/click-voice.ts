import * as v from "valibot";
import { kept } from "~/components/kept";
import { clickVoiceSchema, USUAL_VOICE, type ClickVoice } from "~/core/click";

const KEY = "fidus-click";
/** A student's own, so that two may share a device; anybody else has the device's. */
const keyOf = (personId: string | undefined) => (personId ? `${KEY} ${personId}` : KEY);
const stored = v.pipe(v.string(), v.parseJson(), clickVoiceSchema);

/** How the click sounds for a student on this device; as for everybody there, until one is chosen. */
export function keptVoice(personId?: string): ClickVoice {
  const read = v.safeParse(stored, kept.get(keyOf(personId)) ?? kept.get(KEY));
  return read.success ? read.output : USUAL_VOICE;
}

export const keepVoice = (voice: ClickVoice, personId?: string): void =>
  kept.set(keyOf(personId), JSON.stringify(voice));
