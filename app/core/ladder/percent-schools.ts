import type { ChosenSchool, SchoolName } from "./registry";

/** The schools whose steps can be told in percent of the full tempo. */
const IN_PERCENT: ReadonlySet<SchoolName> = new Set([
  "even-steps",
  "shrinking-steps",
  "percent-steps",
  "forward-back",
]);

/**
 * Why a school can't climb in percent of the full tempo, as a passage with several tempi needs it;
 * undefined where it can.
 */
export function percentRefused({ name, numbers }: ChosenSchool): string | undefined {
  if (!IN_PERCENT.has(name)) {
    return "Over several tempi a ladder climbs in percent: even, shrinking or percent steps, or forward and back.";
  }
  return name === "forward-back" && "by" in numbers && numbers.by === "marks"
    ? "Metronome marks mean nothing over several tempi: go in percent."
    : undefined;
}
