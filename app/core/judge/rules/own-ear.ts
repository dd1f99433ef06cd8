import type { PassageFacts } from "../facts";
import { ofPassage, type Found } from "../rule";

/** From so many takes listened to on it says something of an ear. */
const LISTENED = 10;
const SHARE = 0.25;
/** The one must be so many times the other: an ear that misses both ways is not kind, nor hard. */
const MORE_THAN_THE_OTHER = 2;
const MOST_IN_A_ROW = 4;
const LEAST_IN_A_ROW = 2;
const RECENT_DAYS = 7;

interface Saw {
  readonly ear: "kind" | "hard";
  readonly times: number;
  readonly listened: number;
}

const inARow = ({ ladder }: PassageFacts): number =>
  Math.max(1, ...ladder.gate.map((rule) => (rule.kind === "in-a-row" ? rule.plays : 1)));

/**
 * What was called clean at the stand is heard flawed afterwards, or the other way about: the gate
 * asks more where the ear is kind, less where it is hard. Told once, for what was played last.
 */
export const ownEar = ofPassage<Saw>((passage, { ear, passages }) => {
  const { listened, kind, hard } = ear;
  if (listened < LISTENED || passage.daysOff > RECENT_DAYS) return undefined;
  const least = Math.min(...passages.map(({ daysOff }) => daysOff));
  if (passages.find(({ daysOff }) => daysOff === least) !== passage) return undefined;
  const isFar = (times: number, other: number) =>
    times >= SHARE * listened && times >= MORE_THAN_THE_OTHER * other;
  const plays = inARow(passage);
  const found = (saw: Saw, next: number | undefined): Found<Saw> => ({
    saw,
    ...(next === undefined ? { places: ["today"] } : { changes: [{ kind: "gate", plays: next }] }),
  });
  if (isFar(kind, hard)) {
    const saw = { ear: "kind", times: kind, listened } as const;
    return found(saw, plays < MOST_IN_A_ROW ? plays + 1 : undefined);
  }
  if (isFar(hard, kind)) {
    const saw = { ear: "hard", times: hard, listened } as const;
    return found(saw, plays > LEAST_IN_A_ROW ? plays - 1 : undefined);
  }
  return undefined;
});
