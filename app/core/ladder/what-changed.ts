import type { Day } from "~/core/units";
import type { Ladder } from "./ladder";
import type { SchoolName } from "./registry";

/** What of a ladder was changed, told by the first of these that differs. */
export type LadderChanged =
  | { readonly kind: "part"; readonly part: Ladder["part"] }
  | { readonly kind: "schools"; readonly schools: readonly SchoolName[] }
  | { readonly kind: "target"; readonly from: number; readonly to: number }
  | { readonly kind: "gate" }
  | { readonly kind: "numbers" }
  | { readonly kind: "start" };

/** Where something turned in the course of a passage: its ladder was set or changed, or it paused. */
export type Turn = { readonly day: Day } & (
  | LadderChanged
  | { readonly kind: "set"; readonly schools: readonly SchoolName[] }
  | { readonly kind: "pause"; readonly days: number }
);

const namesOf = ({ phases }: Ladder): SchoolName[] => phases.map(({ school }) => school.name);
const differ = (one: unknown, other: unknown): boolean =>
  JSON.stringify(one) !== JSON.stringify(other);

/** What changed from one ladder to the next; undefined where a player would not notice. */
export function whatChanged(before: Ladder, after: Ladder): LadderChanged | undefined {
  if (differ(before.part, after.part)) return { kind: "part", part: after.part };
  const schools = namesOf(after);
  if (differ(namesOf(before), schools)) return { kind: "schools", schools };
  if (before.target !== after.target) {
    return { kind: "target", from: before.target, to: after.target };
  }
  if (differ(before.gate, after.gate)) return { kind: "gate" };
  if (differ(before.phases, after.phases)) return { kind: "numbers" };
  const starts = ({ start, startRule }: Ladder) => ({ start, startRule });
  return differ(starts(before), starts(after)) ? { kind: "start" } : undefined;
}
