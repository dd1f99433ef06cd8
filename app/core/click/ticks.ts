import { barLength, type BeatUnit, type Metre } from "~/core/units";
import { barPulses, patternPulses } from "./pattern";
import { isSilentBar, type ClickProgramme } from "./programme";

/** Where a programme clicks in the first bars of a play, as shares of their length, 0–1. */
export function clickTicks(
  click: ClickProgramme,
  { metre, beatUnit }: { readonly metre: Metre; readonly beatUnit: BeatUnit },
  bars: number,
): number[] {
  const length = barLength(metre);
  return Array.from({ length: bars }, (_, bar) => {
    if (isSilentBar(click.silence, bar, 0)) return [];
    const from = { bar, beat: bar * barPulses(metre, beatUnit).length };
    const pulses = patternPulses(click.pattern, metre, beatUnit, from);
    return pulses.map(({ at }) => (bar + at / length) / bars);
  }).flat();
}
