import type { TakeAsked } from "~/core/week";
import type { Day } from "~/core/units";
import { planWords } from "~/words/plan";

const { take: said } = planWords.item;

/** What has become of a take, in a line: asked until a day, missing, handed in, heard and how. */
export function takeTold(
  { state, due, late, rating }: TakeAsked,
  day: (day: Day) => string,
): string {
  return [said[state](day(due)), late && said.late, rating].filter(Boolean).join(", ");
}
