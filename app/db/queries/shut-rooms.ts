import * as v from "valibot";
import type { Queries } from "~/db/client";
import { ROOM_TABLE_NAMES, roomTable, type RoomTableName } from "./room-tables";
import { idRow } from "./rows";

/** Why nobody may enter a room just now. */
export const SHUT_REASONS = ["filling", "uncounted"] as const;
export type ShutReason = (typeof SHUT_REASONS)[number];

/** The rows of a table, by the column that ties them to their room. */
const inRoom = (name: RoomTableName): string => {
  const { of } = roomTable(name);
  if (name === "studio") return "t.id = $1";
  return of.by === "paper_id"
    ? "t.paper_id in (select id from paper where studio_id = $1)"
    : "t.studio_id = $1";
};

/** What is in a room; the person who opened it among them. */
const WITHIN = ROOM_TABLE_NAMES.filter((name) => name !== "studio");

/** Whether nobody but one teacher, and nothing at all, is in a room yet. */
export const roomIsEmpty = async (db: Queries, studioId: string): Promise<boolean> => {
  const holds = (name: RoomTableName) => `exists (select from ${name} t where ${inRoom(name)})`;
  const { empty } = await db.one(
    v.object({ empty: v.boolean() }),
    `select not (${WITHIN.filter((name) => name !== "person")
      .map(holds)
      .join(" or ")})
       and (select count(*) from person where studio_id = $1) = 1 as empty`,
    [studioId],
  );
  return empty;
};

/** A room that is being filled: by which lease, until when, and who asked for it. */
export interface Lease {
  readonly id: string;
  readonly studioId: string;
  readonly holder: string;
}

/** Shuts a room for as long as it is filled; whether it was open. */
export const takeLease = async (db: Queries, lease: Lease, until: Date): Promise<boolean> =>
  (await db.execute(
    `update studio set shut = 'filling', lease = $2, lease_holder = $3, lease_until = $4
     where id = $1 and shut is null`,
    [lease.studioId, lease.id, lease.holder, until],
  )) === 1;

/** Whether a lease still holds; it then holds until the new moment. */
export const renewLease = async (db: Queries, lease: Lease, until: Date): Promise<boolean> =>
  (await db.execute("update studio set lease_until = $3 where id = $1 and lease = $2", [
    lease.studioId,
    lease.id,
    until,
  ])) === 1;

/**
 * Puts another lease in the place of one that is over, and tells whether that was still so: whoever
 * had the old one can neither fill nor open the room from then on.
 */
export const replaceLease = async (
  db: Queries,
  { studioId, id }: Lease,
  replaced: { readonly by: string; readonly at: Date; readonly until: Date },
): Promise<boolean> =>
  (await db.execute(
    `update studio set lease = $3, lease_until = $5
     where id = $1 and lease = $2 and lease_until <= $4`,
    [studioId, id, replaced.by, replaced.at, replaced.until],
  )) === 1;

/** Opens a room again; whether the lease still held. */
export const endLease = async (db: Queries, { studioId, id }: Lease): Promise<boolean> =>
  (await db.execute(
    `update studio set shut = null, lease = null, lease_holder = null, lease_until = null
     where id = $1 and lease = $2`,
    [studioId, id],
  )) === 1;

/** Leases that nobody renews any more. */
export const leasesOver = (db: Queries, at: Date) =>
  db.many(
    v.pipe(
      v.object({ id: idRow, studio_id: idRow, holder: idRow }),
      v.transform(({ id, studio_id, holder }): Lease => ({ id, studioId: studio_id, holder })),
    ),
    `select lease as id, id as studio_id, lease_holder as holder from studio
     where lease_until <= $1 order by id`,
    [at],
  );

/** So many rows are taken away by one statement. */
const ROWS_AT_ONCE = 500;

/**
 * Takes out of a room what was read into it, some rows at a time, as long as that lease holds: the
 * room and the holder stay. Everything in it came by the lease, since it was empty before.
 */
export async function takeOut(db: Queries, { id, studioId, holder }: Lease): Promise<void> {
  for (const name of WITHIN.toReversed()) {
    for (let taken = ROWS_AT_ONCE; taken === ROWS_AT_ONCE;) {
      taken = await db.execute(
        `delete from ${name} where ctid = any(array(
           select t.ctid from ${name} t join studio on studio.id = $1 and studio.lease = $2
           where ${inRoom(name)} ${name === "person" ? "and t.id <> $3" : "and $3::uuid is not null"}
           limit ${ROWS_AT_ONCE}))`,
        [studioId, id, holder],
      );
    }
  }
}

/** Shuts a room whose plays can't be counted, or opens it again. */
export const setUncounted = (db: Queries, studioId: string, uncounted: boolean) =>
  db.execute(
    `update studio set shut = $2 where id = $1 and shut is not distinct from $3
     and shut is distinct from $2`,
    uncounted ? [studioId, "uncounted", null] : [studioId, null, "uncounted"],
  );
