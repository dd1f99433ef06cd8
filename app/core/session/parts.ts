import * as v from "valibot";
import { BLOCK_KINDS, SESSION_MINUTES } from "./shape";
import { weekNoteSchema } from "./week-note";

/** One part of a session at the stand: a block with a ladder, or a task with its minutes. */
export const partSchema = v.object({
  kind: v.picklist(BLOCK_KINDS),
  minutes: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(SESSION_MINUTES.longest)),
  text: v.string(),
  /** The item of the week that a task belongs to. */
  itemId: v.optional(v.pipe(v.string(), v.uuid())),
  /** Index of the block that is played; null for a task. */
  block: v.nullable(v.pipe(v.number(), v.integer(), v.minValue(0))),
  /** What the week said of it when the session was opened. */
  said: v.optional(weekNoteSchema),
});
export type Part = v.InferOutput<typeof partSchema>;

interface WithParts {
  readonly blocks: readonly { readonly ladder: { readonly minutes: number } }[];
  readonly parts?: readonly Part[] | undefined;
}

/** The parts of a plan in their order; a plan without any is its blocks one after the other. */
export const partsOf = ({ parts, blocks }: WithParts): readonly Part[] =>
  parts ??
  blocks.map(({ ladder }, block) => ({
    kind: "practising",
    minutes: ladder.minutes,
    text: "",
    block,
  }));

/** Every part names a block that is there, and every block belongs to one part. */
export function partsAreWhole({ parts, blocks }: WithParts): boolean {
  if (!parts) return true;
  const named = parts.flatMap(({ block }) => block ?? []);
  return named.length === blocks.length && named.every((block, index) => block === index);
}

interface AtPart {
  readonly plan: WithParts;
  readonly part: number;
}

export const partNow = ({ plan, part }: AtPart): Part => partsOf(plan)[part]!;

/** The task that is on now; undefined while a block is played. */
export function taskNow(state: AtPart): Part | undefined {
  const part = partNow(state);
  return part.block === null ? part : undefined;
}

export const isLastPart = ({ plan, part }: AtPart): boolean => part + 1 >= partsOf(plan).length;
