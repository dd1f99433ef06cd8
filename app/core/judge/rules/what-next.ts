import { ofPassage } from "../rule";

const DAYS = 3;
const LEAST_PLAYS = 3;
const SHAKY = 0.75;
const RECENT_DAYS = 7;
const MOST = 3;

/** Tempi below what was passed that are shaky: these again, from the slowest up. */
export const whatNext = ofPassage(({ days, daysOff, comfortable, safe }) => {
  const last = days.slice(-DAYS);
  const reached = Math.max(0, ...last.map((day) => day.reached ?? 0));
  if (daysOff > RECENT_DAYS || reached === 0 || safe) return undefined;
  const byTempo = new Map<number, { plays: number; clean: number }>();
  for (const { tempo, plays, clean } of last.flatMap(({ tempi }) => tempi)) {
    const before = byTempo.get(tempo) ?? { plays: 0, clean: 0 };
    byTempo.set(tempo, { plays: before.plays + plays, clean: before.clean + clean });
  }
  const shaky = [...byTempo]
    .filter(([tempo, { plays, clean }]) => {
      return tempo <= reached && plays >= LEAST_PLAYS && clean < SHAKY * plays;
    })
    .map(([tempo]) => tempo)
    .toSorted((one, other) => one - other);
  if (shaky.length === 0) return undefined;
  return {
    saw: { comfortable: comfortable.value, reached, shaky: shaky.slice(0, MOST) },
    changes: [{ kind: "start-lower", steps: 1 }],
  };
});
