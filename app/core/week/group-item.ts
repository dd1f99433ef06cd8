import * as v from "valibot";
import type { Day } from "../units";
import { itemSchema, newItem, type AssignmentItem } from "./assignment";

export const GROUP_KINDS = ["class", "ensemble", "section"] as const;
export type GroupKind = (typeof GROUP_KINDS)[number];

const bar = v.pipe(v.number(), v.integer(), v.minValue(1));

/** What is played of an item that is set for a group: bars of a piece, and the way up to a tempo. */
const musicSchema = v.object({
  pieceId: v.pipe(v.string(), v.uuid()),
  fromBar: bar,
  toBar: bar,
  /** In the piece's beat unit. */
  target: v.pipe(v.number(), v.minValue(10), v.maxValue(400)),
  /** The way up; even steps without one. */
  keptLadderId: v.nullable(v.pipe(v.string(), v.uuid())),
});

/** What of an item is the same for everyone. */
const SAME_FOR_ALL = [
  "kind",
  "title",
  "focus",
  "often",
  "minutes",
  "note",
  "bring",
  "recordRun",
] as const satisfies readonly (keyof AssignmentItem)[];

/** What is asked of everyone in a group; each climbs from where they are comfortable. */
export const groupItemSchema = v.object({
  ...v.pick(itemSchema, SAME_FOR_ALL).entries,
  music: v.nullable(musicSchema),
});
export type GroupItem = v.InferOutput<typeof groupItemSchema>;

interface Landing {
  /** Of the item in the member's week. */
  readonly id: string;
  /** The group's item that it comes from. */
  readonly from: string;
  readonly passageId: string | null;
  readonly due: Day;
}

/** The item as it stands in a member's week. */
export function itemOfGroup(asked: GroupItem, { id, from, passageId, due }: Landing) {
  const { music, ...told } = asked;
  const goalTempo = music ? music.target : null;
  return newItem(id, { ...told, passageId, goalTempo, due, given: { item: from } });
}

const TOLD = [...SAME_FOR_ALL, "goalTempo", "passageId"] as const;

/** Whether a member's item still says what it said when it was given. */
export const asGiven = (item: AssignmentItem, given: AssignmentItem): boolean =>
  TOLD.every((name) => JSON.stringify(item[name]) === JSON.stringify(given[name]));
