import { whereItFailed } from "~/core/ladder";
import { CEILING_DAYS, heldCeiling } from "../held-ceiling";
import type { LadderChange } from "../ladder-change";
import { ofPassage } from "../rule";

/** The same ceiling on four days: another way, without the number, smaller, or the layer underneath. */
export const sameCeiling = ofPassage((passage, { today }) => {
  const { days, target, ladder, flaws, fromBar, toBar } = passage;
  const tempo = heldCeiling(days, target, today);
  if (tempo === undefined) return undefined;
  const names = ladder.phases.map(({ school }) => school.name);
  const failed = ladder.part ? undefined : whereItFailed(flaws, { fromBar, toBar });
  const changes: LadderChange[] = [];
  if (!names.includes("forward-back") && ladder.of === null) {
    changes.push({ kind: "school", school: "forward-back" });
  }
  if (!ladder.hidden) changes.push({ kind: "hidden" });
  if (failed) changes.push({ kind: "part", fromBar: failed.fromBar, toBar: failed.toBar });
  if (!names.includes("layers")) changes.push({ kind: "school", school: "layers" });
  return { saw: { days: CEILING_DAYS, tempo, target }, changes };
});
