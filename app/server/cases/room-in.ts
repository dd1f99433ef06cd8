import { err, ok, type Result } from "~/core/result";
import { DatabaseError, type Queries } from "~/db/client";
import {
  columnsOf,
  overwriteRoomLine,
  putRoomLines,
  refreshStatistics,
  ROOM_TABLE_NAMES,
  roomIsEmpty,
  roomTable,
  setCountedBy,
  tablesVersion,
  type RoomTableName,
} from "~/db/queries";
import { withOwnIds } from "../archive/ids";
import { dataFile, RoomFile, Unreadable, type RoomRow } from "../archive/room-file";
import type { Services } from "../services";
import { COUNTING } from "./counting";
import { rebuildProjections } from "./rebuild";

/** So many characters of rows are written at once. */
const BATCH = 2_000_000;

const NOT_EMPTY =
  "A room is read into an empty one only. Open a new room without a student, and bring it in there.";

/** Rows that are there already, and what of them the file's rows take the place of. */
const THERE: Partial<Record<RoomTableName, readonly string[]>> = {
  studio: ["name", "time_zone", "concert_name", "concert_on", "created_at"],
  // The teacher who reads it in keeps name, role and way in.
  person: ["plays", "instrument", "no_verdict", "times", "must_do", "created_at"],
};

interface Reading {
  readonly tx: Queries;
  readonly file: RoomFile;
  readonly own: (text: string) => string;
  /** The ids of rows that are there already. */
  readonly there: ReadonlySet<string>;
}

/** The columns that the rows of a file may have. */
async function carried(tx: Queries, name: RoomTableName): Promise<ReadonlySet<string>> {
  const { leaves = [] } = roomTable(name);
  return new Set((await columnsOf(tx, name)).filter((column) => !leaves.includes(column)));
}

async function bringTable({ tx, file, own, there }: Reading, name: RoomTableName) {
  const known = await carried(tx, name);
  let batch: RoomRow[] = [];
  const write = async () => {
    const [first] = batch;
    if (first)
      await putRoomLines(
        tx,
        name,
        first.columns,
        batch.map(({ line }) => line),
      );
    batch = [];
  };
  let size = 0;
  for await (const row of file.written(name, own)) {
    const strange = row.columns.find((each) => !known.has(each));
    if (strange) throw new Unreadable(`${dataFile(name)}: there is no ${strange} here.`);
    const over = THERE[name];
    if (over && row.id && there.has(row.id)) {
      await overwriteRoomLine(tx, name as "studio" | "person", over, row.line);
      continue;
    }
    if (name === "studio") throw new Unreadable(`${dataFile(name)}: this is another room.`);
    if (batch.length > 0 && batch[0]!.columns.join() !== row.columns.join()) await write();
    batch.push(row);
    size += row.line.length;
    if (size < BATCH || roomTable(name).together) continue;
    await write();
    size = 0;
  }
  await write();
}

/** Who in the file is the one that reads it in: the only teacher, or the one of the same name. */
async function readerIn(file: RoomFile, name: string): Promise<string | undefined> {
  const teachers: Record<string, unknown>[] = [];
  for await (const { row } of file.rows("person")) if (row.role === "teacher") teachers.push(row);
  const [only, ...others] = teachers;
  const found = others.length === 0 ? only : teachers.find((each) => each.name === name);
  return typeof found?.id === "string" ? found.id : undefined;
}

/** What is refused of a file, in words; undefined for what is no fault of the file's. */
function told(error: unknown): string | undefined {
  if (error instanceof Unreadable) return error.message;
  if (error instanceof DatabaseError && error.kind !== "other") {
    return `Something in it does not belong together: ${error.message}.`;
  }
  // What unpacking throws of damaged files.
  const damaged = error instanceof Error && /zlib|invalid|unexpected end|size|header/i;
  return damaged && damaged.test(error.message) ? "It is damaged." : undefined;
}

async function bring(
  services: Services,
  file: RoomFile,
  studioId: string,
  reader: { readonly id: string; readonly name: string },
): Promise<void> {
  if (file.header.tables > (await tablesVersion(services.db))) {
    throw new Unreadable(
      "It was taken out of a later version of Fidus. Bring this one up to date first.",
    );
  }
  const asCountedHere = file.header.counting === COUNTING;
  const known = new Map([[file.header.room, studioId]]);
  const inFile = await readerIn(file, reader.name);
  if (inFile) known.set(inFile, reader.id);
  await services.db.transaction(async (tx) => {
    if (!(await roomIsEmpty(tx, studioId))) throw new Unreadable(NOT_EMPTY);
    const own = withOwnIds(studioId, known);
    const reading = { tx, file, own, there: new Set([studioId, reader.id]) };
    for (const name of ROOM_TABLE_NAMES) {
      if (asCountedHere || !roomTable(name).counted) await bringTable(reading, name);
    }
    // Until everything is counted it counts as counted by nobody, should the power fail here.
    await setCountedBy(tx, studioId, asCountedHere ? COUNTING : 0);
  });
  if (!asCountedHere) await rebuildProjections(services, studioId);
  await refreshStatistics(services.db);
}

/**
 * Fills an empty room from the zip of another: everything or nothing, under ids of its own; what
 * another version has counted is counted again. The teacher who reads it in takes the place of the one in the file.
 */
export async function readRoomIn(
  services: Services,
  studioId: string,
  reader: { readonly id: string; readonly name: string },
  path: string,
): Promise<Result<{ readonly name: string }, string>> {
  let file: RoomFile | undefined;
  try {
    if (!(await roomIsEmpty(services.db, studioId))) return err(NOT_EMPTY);
    file = await RoomFile.open(path);
    await bring(services, file, studioId, reader);
    return ok({ name: file.header.name });
  } catch (error) {
    const sentence = told(error);
    if (sentence === undefined) throw error;
    return err(sentence);
  } finally {
    file?.close();
  }
}
