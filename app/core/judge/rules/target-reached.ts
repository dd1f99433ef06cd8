import type { LadderChange } from "../ladder-change";
import { ofPassage } from "../rule";

const DAYS = 2;
const BEYOND_PERCENT = 5;

/** It stands: once beyond, with less of the click, played through, then now and then. */
export const targetReached = ofPassage(({ safe, daysAtTarget, ladder, target }) => {
  if (!safe || daysAtTarget < DAYS) return undefined;
  const withdrawn = ladder.phases.some(({ school }) => school.name === "withdraw");
  const changes: LadderChange[] = [];
  if (!ladder.overspeed) changes.push({ kind: "overspeed", percent: BEYOND_PERCENT });
  if (!withdrawn) changes.push({ kind: "school", school: "withdraw" });
  if (changes.length === 0) return undefined;
  return { saw: { days: daysAtTarget, target }, changes, places: ["lesson"] };
});
