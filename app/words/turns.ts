import type { SchoolName, Turn } from "~/core/ladder";
import { days } from "./counts";
import { ladder } from "./ladder";

const schoolNames = (names: readonly SchoolName[]): string =>
  names.map((name) => ladder.ladder.schools[name].label).join(", ");

/** What turned in the course of a passage. */
export function turnTold(turn: Turn): string {
  switch (turn.kind) {
    case "set":
      return `the ladder was set: ${schoolNames(turn.schools)}`;
    case "schools":
      return `from here on ${schoolNames(turn.schools)}`;
    case "part":
      if (!turn.part) return "all its bars again";
      return turn.part.fromBar === turn.part.toBar
        ? `bar ${turn.part.fromBar} by itself`
        : `bars ${turn.part.fromBar}–${turn.part.toBar} by themselves`;
    case "target":
      return `the target was ${Math.round(turn.from)} bpm, and is ${Math.round(turn.to)}`;
    case "gate":
      return "another gate";
    case "numbers":
      return "other steps";
    case "start":
      return "another start";
    case "pause":
      return `a pause of ${days(turn.days)}`;
  }
}
