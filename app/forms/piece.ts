import * as v from "valibot";
import { PIECE_KINDS, pieceShapeSchema } from "~/core/score";
import { parseMetre } from "~/core/units";
import { typedForm } from "./typed";

const LONGEST_TITLE = 200;

const metreText = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, "Give the metre, for example 3/4."),
  v.rawTransform(({ dataset, addIssue, NEVER }) => {
    const metre = parseMetre(dataset.value);
    if (metre) return metre;
    addIssue({ message: `“${dataset.value.slice(0, 20)}” is no metre; write 3/4 or 2+2+3/8.` });
    return NEVER;
  }),
);

const CHANGES = /^\s*(\d+)\s*[:=]?\s*(\S+)\s*$/;

/** Metre changes as typed: "9 2/4, 17 3/4" is 2/4 from bar 9 and 3/4 from bar 17. */
const changesText = v.pipe(
  v.string(),
  v.trim(),
  v.rawTransform(({ dataset, addIssue, NEVER }) => {
    const parts = dataset.value === "" ? [] : dataset.value.split(/[,;]/);
    const changes = parts.map((part) => {
      const match = CHANGES.exec(part);
      const metre = match && parseMetre(match[2]!);
      return metre ? { fromBar: Number(match[1]), metre } : undefined;
    });
    const bad = changes.indexOf(undefined);
    if (bad === -1) return changes.filter((change) => change !== undefined);
    addIssue({
      message: `“${parts[bad]!.trim().slice(0, 20)}” is no change; write the bar and its metre: 9 2/4.`,
    });
    return NEVER;
  }),
);

/** A new piece as its form sends it. */
const newPieceSchema = v.object({
  title: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, "Give the piece a title."),
    v.maxLength(LONGEST_TITLE, `Keep the title under ${LONGEST_TITLE} characters.`),
  ),
  origin: v.pipe(
    v.string(),
    v.trim(),
    v.maxLength(LONGEST_TITLE, `Keep it under ${LONGEST_TITLE} characters.`),
  ),
  kind: v.picklist(PIECE_KINDS, "Choose what it is."),
  bars: pieceShapeSchema.pipe[0].entries.bars,
  pickupBeats: pieceShapeSchema.pipe[0].entries.pickupBeats,
  metre: metreText,
  changes: changesText,
  markBpm: pieceShapeSchema.pipe[0].entries.markBpm,
  markUnit: pieceShapeSchema.pipe[0].entries.markUnit,
});

/** The same, with its shape checked as a whole; issues carry the field that is wrong. */
const wholePieceSchema = v.pipe(
  newPieceSchema,
  v.rawTransform(({ dataset, addIssue, NEVER }) => {
    const { metre, changes, ...rest } = dataset.value;
    const shape = v.safeParse(pieceShapeSchema, {
      ...rest,
      metres: [{ fromBar: 1, metre }, ...changes],
    });
    if (shape.success) return { ...rest, ...shape.output };
    for (const { message, path } of shape.issues) {
      const key = path?.[0].key === "metres" ? "changes" : String(path?.[0].key);
      addIssue({
        message,
        path: [{ type: "object", origin: "value", input: dataset.value, key, value: undefined }],
      });
    }
    return NEVER;
  }),
);

export const pieceFormSchema = typedForm(wholePieceSchema, ["bars", "pickupBeats", "markBpm"]);
