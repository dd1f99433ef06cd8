import type { Ladder } from "~/core/ladder";

/** The step of a ladder of even steps alone; undefined for any other. */
export function evenStep({ phases }: Pick<Ladder, "phases">): number | undefined {
  const [phase, ...others] = phases;
  if (others.length > 0 || phase?.school.name !== "even-steps") return undefined;
  return phase.school.numbers.step;
}
