import { ofPassage } from "../rule";

const UNLIKELY = 1 / 3;

/** As it goes, the date will hardly hold: more days, or an honest lower target. */
export const behindDate = ofPassage(({ concert, target }) => {
  if (!concert || concert.chance >= UNLIKELY) return undefined;
  const { honest, chance, day } = concert;
  return {
    saw: { chance, day, target },
    changes: honest === undefined ? [] : [{ kind: "target", target: honest }],
    places: ["times"],
  };
});
