import type { AssignmentItem, WeekChange } from "~/core/week";
import { changeWords } from "~/words/change-week";
import { oftenTold } from "./often-told";

const said = ({ often, minutes, goalTempo }: AssignmentItem) => ({
  ...{ often: oftenTold(often), minutes, tempo: goalTempo },
});

/** A change of a week that is on, in a line. */
export function changeTold({ what, item, was }: WeekChange): string {
  if (what === "added") return changeWords.added(item.title, said(item));
  if (what === "withdrawn" || !was) return changeWords.withdrawn(item.title);
  return changeWords.changed(item.title, said(was), said(item));
}
