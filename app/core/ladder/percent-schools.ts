import { natureOf, type ChosenSchool } from "./registry";

/**
 * Why a school can't climb in percent of the full tempo, as a passage with several tempi needs it;
 * undefined where it can.
 */
export function percentRefused({ name, numbers }: ChosenSchool): string | undefined {
  if (!natureOf(name).inPercent) {
    return "Over several tempi a ladder climbs in percent: even, shrinking or percent steps, or forward and back.";
  }
  return name === "forward-back" && "by" in numbers && numbers.by === "marks"
    ? "Metronome marks mean nothing over several tempi: go in percent."
    : undefined;
}
