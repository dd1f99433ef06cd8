import { whereItFailed } from "~/core/ladder";
import { ofPassage } from "../rule";

const LEAST_FLAWS = 6;
const HALF = 0.5;

/** Most flaws fall in a few bars: these by themselves first. */
export const cutAround = ofPassage(({ flaws, fromBar, toBar, ladder, safe }) => {
  const found = whereItFailed(flaws, { fromBar, toBar });
  if (!found?.enough || ladder.part || safe) return undefined;
  const count = (from: number, to: number) =>
    flaws.reduce((sum, { bar, flawed }) => sum + (bar >= from && bar <= to ? flawed : 0), 0);
  const all = count(fromBar, toBar);
  const bars = found.toBar - found.fromBar + 1;
  if (all < LEAST_FLAWS || bars > HALF * (toBar - fromBar + 1)) return undefined;
  const range = { fromBar: found.fromBar, toBar: found.toBar };
  return {
    saw: { ...range, flaws: count(found.fromBar, found.toBar), all },
    changes: [{ kind: "part", ...range }],
    places: ["cut"],
  };
});
