import { natureOf, onceAfterMany } from "~/core/ladder";
import { lastDayOf } from "../facts";
import { ofPassage } from "../rule";

const IN_A_ROW = 3;
const RECENT_DAYS = 7;

/** One clean play after several flawed ones was taken for learned, and it went on faster. */
export const oneClean = ofPassage((passage) => {
  const { tempi } = lastDayOf(passage);
  const { gate, phases } = passage.ladder;
  const strict = gate.some((rule) => rule.kind === "in-a-row" && rule.plays >= IN_A_ROW);
  // A cycle of slow and fast plays has a gate of its own.
  const cycles = phases.some(({ school }) => natureOf(school.name).cycles);
  if (strict || cycles || passage.daysOff > RECENT_DAYS) return undefined;
  const left = tempi.find((tally, i) => onceAfterMany(tally) && i < tempi.length - 1);
  if (!left) return undefined;
  return {
    saw: { tempo: left.tempo, plays: left.plays },
    changes: [{ kind: "gate", plays: IN_A_ROW }],
  };
});
