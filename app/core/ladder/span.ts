import type { Ladder, Phase } from "./ladder";

/** Start and target of a phase. */
export const spanOf = (ladder: Pick<Ladder, "start" | "target">, phase: Phase) => {
  const target = phase.target ?? ladder.target;
  const start = phase.start ?? ladder.start;
  return { start: start < target ? start : target, target };
};

/** Tells whether two ladders go the same way, so that a place in one is a place in the other. */
export const wayOf = ({ phases }: Pick<Ladder, "phases">): string =>
  phases
    .map(({ school, tasks }) =>
      tasks ? `${school.name}/${tasks.order}-${tasks.items.length}` : school.name,
    )
    .join(" ");
