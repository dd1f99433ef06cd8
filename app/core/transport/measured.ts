import type { Timing } from "~/core/listen";
import { MOST_OFFSETS, type MEASURE_SOURCES, type Payload } from "~/core/session";

/** Where a beat without an onset, and an onset without a beat, are the player's. */
const TELLS_ALL: ReadonlySet<string> = new Set(["taps", "midi"]);

/** What is written of how a play lay against its beats; `timing` in seconds. */
export function measuredOf(
  play: string,
  source: (typeof MEASURE_SOURCES)[number],
  { offsets, bias, spread, missed, extra }: Timing,
): Payload<"measured"> {
  return {
    ...{ play, source, bias: bias * 1000, spread: spread * 1000, met: offsets.length },
    ...(TELLS_ALL.has(source) ? { missed, extra } : {}),
    offsets: offsets.slice(0, MOST_OFFSETS).map((seconds) => Math.round(seconds * 1000)),
  };
}
