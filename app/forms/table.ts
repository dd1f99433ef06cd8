import * as v from "valibot";
import { BEAT_UNIT_NAMES, type BeatUnit } from "~/core/units";
import { studentSchema } from "./names";
import { pieceFormSchema } from "./piece";

/** What a table can bring, and the fields that its columns may hold. */
export const TABLE_FIELDS = {
  students: ["name", "instrument"],
  pieces: ["title", "student", "origin", "bars", "metre", "markBpm", "markUnit", "pickupBeats"],
} as const;
export type TableKind = keyof typeof TABLE_FIELDS;
export const TABLE_KINDS = Object.keys(TABLE_FIELDS) as TableKind[];
export type TableField = (typeof TABLE_FIELDS)[TableKind][number];

/** Which column holds a field; a field without one is left empty. */
export type Mapping = Partial<Record<TableField, number>>;
/** The texts of a row by field. */
export type TypedRow = Readonly<Record<string, string>>;

export const MOST_ROWS = 1000;

/** Words by which columns are commonly headed. */
const HEADINGS: Record<TableField, RegExp> = {
  name: /^(full )?name|student|pupil/i,
  instrument: /instrument/i,
  title: /title|piece|work/i,
  student: /student|pupil|player|for/i,
  origin: /composer|origin|by|from/i,
  bars: /bars|measures|length/i,
  metre: /met(re|er)|time/i,
  markBpm: /tempo|bpm|speed/i,
  markUnit: /unit|beat|note/i,
  pickupBeats: /pickup|upbeat|anacrusis/i,
};

/** What the columns seem to hold, by their headings; each at most once. */
export function guessed(kind: TableKind, headings: readonly string[]): Mapping {
  const mapping: Mapping = {};
  const taken = new Set<number>();
  for (const field of TABLE_FIELDS[kind]) {
    const at = headings.findIndex((each, i) => !taken.has(i) && HEADINGS[field].test(each.trim()));
    if (at < 0) continue;
    mapping[field] = at;
    taken.add(at);
  }
  return mapping;
}

const SIGNS: Readonly<Record<string, BeatUnit>> = {
  "♩": "quarter",
  "♩.": "dotted-quarter",
  "♪": "eighth",
  "♪.": "dotted-eighth",
  "1/4": "quarter",
  "3/8": "dotted-quarter",
  "1/8": "eighth",
  "1/2": "half",
  "3/4": "dotted-half",
  "1/1": "whole",
  "1/16": "sixteenth",
};

/** A beat unit as tables tell it: a sign, a part of a whole note, or its name. */
export function unitTold(text: string): string {
  const told = text.trim().toLowerCase();
  const name = told.replace(/ ?notes?$/, "").replaceAll(" ", "-");
  return SIGNS[told] ?? BEAT_UNIT_NAMES.find((unit) => unit === name) ?? text.trim();
}

/** The texts of a row by field, as the mapping has them. */
export const typedRow = (cells: readonly string[], mapping: Mapping): TypedRow =>
  Object.fromEntries(
    Object.entries(mapping).map(([field, column]) => [field, (cells[column] ?? "").trim()]),
  );

const or = (text: string | undefined, otherwise: string): string => text?.trim() || otherwise;

/** A row of pieces as the form of a piece sends it; what is left empty is as usual. */
const pieceTyped = (row: TypedRow): TypedRow => ({
  title: row.title ?? "",
  origin: row.origin ?? "",
  kind: "piece",
  bars: row.bars ?? "",
  metre: or(row.metre, "4/4"),
  changes: "",
  pickupBeats: or(row.pickupBeats, "0"),
  markBpm: or(row.markBpm, "80").replace(",", "."),
  markUnit: unitTold(or(row.markUnit, "quarter")),
});

/** A student as a row of a table tells them. */
export const readStudentRow = (row: TypedRow) => v.safeParse(studentSchema, row);

/** A piece as a row of a table tells it. */
export const readPieceRow = (row: TypedRow) => v.safeParse(pieceFormSchema, pieceTyped(row));

interface Known {
  /** The students of the room. */
  readonly students: readonly { readonly id: string; readonly name: string }[];
}

const alike = (one: string, other: string): boolean =>
  one.trim().localeCompare(other.trim(), undefined, { sensitivity: "accent" }) === 0;

/** Whose piece a row tells: by name, or else the student who was chosen for all. */
export const studentOfRow = ({ students }: Known, row: TypedRow, otherwise: string) =>
  row.student ? students.find(({ name }) => alike(name, row.student!))?.id : otherwise;

/** What stands against a row, in a sentence; undefined where it can come in. */
export function againstRow(
  kind: TableKind,
  row: TypedRow,
  known: Known,
  otherwise: string,
): string | undefined {
  const read = kind === "students" ? readStudentRow(row) : readPieceRow(row);
  if (!read.success) return read.issues[0].message;
  if (kind === "pieces") {
    return studentOfRow(known, row, otherwise) === undefined
      ? `Nobody here is called “${row.student}”.`
      : undefined;
  }
  return known.students.some(({ name }) => alike(name, row.name ?? ""))
    ? "Somebody of this name is here already."
    : undefined;
}

/** A table as it is sent: rows that can come in. */
export const sentTableSchema = v.object({
  kind: v.picklist(TABLE_KINDS),
  /** Whose the pieces are where a row does not say. */
  otherwise: v.string(),
  rows: v.pipe(
    v.array(v.record(v.string(), v.string())),
    v.minLength(1, "There is no row that can come in."),
    v.maxLength(MOST_ROWS, `At most ${MOST_ROWS} rows at once.`),
  ),
});
