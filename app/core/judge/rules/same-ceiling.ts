import { whereItFailed } from "~/core/ladder";
import type { LadderChange } from "../ladder-change";
import { ofPassage } from "../rule";

const DAYS = 4;
const RECENT_DAYS = 10;

/** The same ceiling on four days: another way, without the number, smaller, or the layer underneath. */
export const sameCeiling = ofPassage(({ days, daysOff, target, ladder, flaws, fromBar, toBar }) => {
  const last = days.slice(-DAYS);
  const before = days.slice(0, -DAYS);
  if (last.length < DAYS || before.length === 0 || daysOff > RECENT_DAYS) return undefined;
  const best = (of: typeof days) => Math.max(0, ...of.map(({ reached }) => reached ?? 0));
  const tempo = best(last);
  if (tempo === 0 || tempo >= target || tempo > best(before)) return undefined;
  const names = ladder.phases.map(({ school }) => school.name);
  const failed = ladder.part ? undefined : whereItFailed(flaws, { fromBar, toBar });
  const changes: LadderChange[] = [];
  if (!names.includes("forward-back") && ladder.of === null) {
    changes.push({ kind: "school", school: "forward-back" });
  }
  if (!ladder.hidden) changes.push({ kind: "hidden" });
  if (failed) changes.push({ kind: "part", fromBar: failed.fromBar, toBar: failed.toBar });
  if (!names.includes("layers")) changes.push({ kind: "school", school: "layers" });
  return { saw: { days: DAYS, tempo, target }, changes };
});
