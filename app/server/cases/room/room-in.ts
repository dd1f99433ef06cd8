import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { DatabaseError } from "~/db/client";
import {
  endLease,
  hashInUse,
  leasesOver,
  putRoomRows,
  refreshStatistics,
  renewLease,
  replaceLease,
  roomIsEmpty,
  roomShapes,
  setCountedBy,
  tablesVersion,
  takeLease,
  takeOut,
  takeOver,
  type Lease,
} from "~/db/queries";
import { isDiskFull } from "../../archive/received";
import { Damaged } from "../../archive/read";
import { Unreadable } from "../../archive/room-file";
import type { RoomPart } from "../../archive/room-reading";
import type { Services } from "../../services";
import { COUNTING } from "../session/counting";
import { rebuildProjections } from "../session/rebuild";

const NOT_EMPTY =
  "A room is read into an empty one only. Open a new room without a student, and bring it in there.";
const BUSY = "A file is being read into this room already. Wait until that is done.";
const LOST = "It took too long, and was taken out again. Bring it in once more.";

/** A lease that nobody renews is over after this. */
const LEASE_MS = 120_000;
const RENEWED_MS = 20_000;

const leaseEnds = ({ now }: Pick<Services, "now">) => new Date(now() + LEASE_MS);

/** What is refused of a file, in words; undefined for what is no fault of the file's. */
function told(error: unknown): string | undefined {
  if (error instanceof Unreadable) return error.message;
  if (error instanceof Damaged) return "It is damaged.";
  if (isDiskFull(error)) return "The server's disk is full. Nothing was changed.";
  return undefined;
}

/** Rows of one part that the database refuses, told without its own words. */
function refusedRows(error: unknown, where: string): unknown {
  const isTheirs = error instanceof DatabaseError && error.kind !== "other";
  if (!isTheirs) return error;
  const why = error.kind === "unique" ? "comes twice" : "can't be as it is";
  return new Unreadable(
    `Something in it does not belong together: from ${where} on, a row ${why}.`,
  );
}

/** What of a room's file is kept until its rows are all there. */
interface Filled {
  name: string;
  counted: boolean;
  readonly over: Extract<RoomPart, { kind: "over" }>[];
  readonly sounds: string[];
}

/** Writes the parts of a room, one short statement after the other, while the lease holds. */
async function fill(
  services: Services,
  lease: Lease,
  parts: AsyncIterable<RoomPart>,
  filled: Filled,
) {
  const { db, takes, now } = services;
  let renewed = now();
  for await (const part of parts) {
    if (now() - renewed > RENEWED_MS) {
      if (!(await renewLease(db, lease, leaseEnds(services)))) throw new Unreadable(LOST);
      renewed = now();
    }
    switch (part.kind) {
      case "begins":
        filled.name = part.name;
        filled.counted = part.counted;
        break;
      case "over":
        filled.over.push(part);
        break;
      case "sound":
        await takes.adopt(part.name, part.hash);
        filled.sounds.push(part.hash);
        break;
      case "rows":
        await putRoomRows(db, lease.studioId, part.table, part.columns, part.rows).catch(
          (error) => {
            throw refusedRows(error, part.where);
          },
        );
    }
  }
}

const zoneSchema = v.pipe(v.string(), v.parseJson(), v.object({ time_zone: v.string() }));

/** The time zone of the room in the file, which this room does not have yet. */
function timeZoneIn({ over }: Filled): string | undefined {
  const room = over.find(({ table }) => table === "studio");
  return room && v.parse(zoneSchema, room.row).time_zone;
}

/** Puts the room and its teacher in their places and opens it, all at once. */
const open = ({ db }: Services, lease: Lease, { over }: Filled): Promise<void> =>
  db.transaction(async (tx) => {
    for (const { table, columns, row } of over) {
      await takeOver(tx, lease.studioId, lease.holder, table, row, columns);
    }
    await setCountedBy(tx, lease.studioId, COUNTING);
    if (!(await endLease(tx, lease))) throw new Unreadable(LOST);
  });

/** Takes out again what was read in, and opens the room as it was. */
async function undo({ db, takes }: Services, lease: Lease, sounds: readonly string[] = []) {
  await takeOut(db, lease);
  await endLease(db, lease);
  for (const hash of sounds) if (!(await hashInUse(db, hash))) await takes.forget(hash);
}

/**
 * Fills an empty room from the zip of another: everything or nothing, under ids of its own; what
 * another version has counted is counted again. Nobody enters the room meanwhile: its rows come in
 * by short statements between those of others, and one short transaction opens it. The teacher who
 * reads it in takes the place of the one in the file.
 */
export async function readRoomIn(
  services: Services,
  studioId: string,
  reader: { readonly id: string; readonly name: string },
  file: string,
): Promise<Result<{ readonly name: string }, string>> {
  const { db, takes, newId } = services;
  const lease: Lease = { id: newId(), studioId, holder: reader.id };
  const began = await db.transaction(async (tx) => {
    if (!(await roomIsEmpty(tx, studioId))) return NOT_EMPTY;
    return (await takeLease(tx, lease, leaseEnds(services))) ? undefined : BUSY;
  });
  if (began !== undefined) return err(began);
  const filled: Filled = { name: "", counted: true, over: [], sounds: [] };
  try {
    const parts = services.readRoom({
      file,
      studioId,
      reader,
      shapes: await roomShapes(db),
      tables: await tablesVersion(db),
      counting: COUNTING,
      sounds: await takes.folderForMore(),
    });
    await fill(services, lease, parts, filled);
    if (!filled.counted) {
      // Counting years takes longer than a lease lasts.
      const onProgress = () =>
        void renewLease(db, lease, leaseEnds(services)).catch(() => undefined);
      await rebuildProjections(services, studioId, { timeZone: timeZoneIn(filled), onProgress });
    }
    await open(services, lease, filled);
    await refreshStatistics(db);
    return ok({ name: filled.name });
  } catch (error) {
    await undo(services, lease, filled.sounds);
    const sentence = told(error);
    if (sentence === undefined) throw error;
    return err(sentence);
  }
}

/** Rooms whose reading was cut off, by a crash for instance, are opened again as they were. */
export async function openLeftRooms(services: Services): Promise<void> {
  const { db, now, newId } = services;
  const at = new Date(now());
  for (const lease of await leasesOver(db, at)) {
    const own = { ...lease, id: newId() };
    const taken = await replaceLease(db, lease, { by: own.id, at, until: leaseEnds(services) });
    if (taken) await undo(services, own);
  }
}
