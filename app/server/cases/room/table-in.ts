import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { bpm } from "~/core/units";
import type { Queries } from "~/db/client";
import { insertPiece, studentsOf } from "~/db/queries";
import {
  againstRow,
  readPieceRow,
  readStudentRow,
  sentTableSchema,
  studentOfRow,
  type TypedRow,
} from "~/forms/table";
import type { Services } from "../../services";
import { addStudent } from "../people/open-room";

/** Who is in the room, for a table to name. */
export const tablePage = async ({ db }: Services, studioId: string) => ({
  students: (await studentsOf(db, studioId)).map(({ id, name }) => ({ id, name })),
});

const sentSchema = v.pipe(v.string(), v.parseJson(), sentTableSchema);

interface Room {
  readonly tx: Queries;
  readonly newId: Services["newId"];
  readonly studioId: string;
  readonly students: readonly { readonly id: string; readonly name: string }[];
}

async function bringRow(
  { tx, newId, studioId, students }: Room,
  kind: v.InferOutput<typeof sentTableSchema>["kind"],
  row: TypedRow,
  otherwise: string,
): Promise<void> {
  if (kind === "students") {
    const read = readStudentRow(row);
    if (read.success) await addStudent({ db: tx, newId }, studioId, read.output);
    return;
  }
  const read = readPieceRow(row);
  const whose = studentOfRow({ students }, row, otherwise);
  if (!read.success || !whose) return;
  const markBpm = bpm(read.output.markBpm);
  const piece = { ...read.output, id: newId(), markBpm, tempi: null, made: null };
  await insertPiece(tx, studioId, whose, piece);
}

/** Brings in the rows of a table: all of them, or none. */
export async function bringTableIn(
  { db, newId }: Services,
  studioId: string,
  sent: string,
): Promise<Result<number, string>> {
  const read = v.safeParse(sentSchema, sent);
  if (!read.success) return err(read.issues[0].message);
  const { kind, rows, otherwise } = read.output;
  return db.transaction(async (tx) => {
    const students = await studentsOf(tx, studioId);
    if (kind === "pieces" && !students.some(({ id }) => id === otherwise)) {
      return err("Choose a student first.");
    }
    for (const [index, row] of rows.entries()) {
      const against = againstRow(kind, row, { students }, otherwise);
      if (against) return err(`Row ${index + 1}: ${against}`);
    }
    const room = { tx, newId, studioId, students };
    for (const row of rows) await bringRow(room, kind, row, otherwise);
    return ok(rows.length);
  });
}
