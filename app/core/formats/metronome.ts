import type { BeatUnit } from "~/core/units";

const element = (name: string, inside: string | number): string => `<${name}>${inside}</${name}>`;

/** A metronome mark: the beat unit and how many of it a minute. */
export function metronome({
  unit,
  bpm,
}: {
  readonly unit: BeatUnit;
  readonly bpm: number;
}): string {
  const note = unit.replace("dotted-", "").replace("sixteenth", "16th");
  const dot = unit.startsWith("dotted-") ? "<beat-unit-dot/>" : "";
  return element("metronome", element("beat-unit", note) + dot + element("per-minute", bpm));
}
