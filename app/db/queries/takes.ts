import * as v from "valibot";
import { takeSchema } from "~/core/listen";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow, tempoRow, momentRow } from "./rows";

const takeRow = v.object({
  id: idRow,
  person_id: idRow,
  session_id: idRow,
  passage_id: idRow,
  play: idRow,
  recorded_at: momentRow,
  tempo: tempoRow,
  bytes: v.number(),
  hash: v.string(),
  media_type: v.string(),
  about: takeSchema,
  kept_until: dayRow,
  /** At the stand; nothing where the play was taken back. */
  verdict: v.nullable(v.picklist(["clean", "flawed"])),
  flaw_bar: v.nullable(v.number()),
});
export type TakeRow = v.InferOutput<typeof takeRow>;

const TAKE = `
  select take.id, take.person_id, take.session_id, take.passage_id, take.play, take.recorded_at,
    take.tempo, take.bytes, take.hash, take.media_type, take.about, take.kept_until,
    rep.verdict, rep.flaw_bar
  from take left join rep on rep.id = take.play and rep.session_id = take.session_id`;

export const takeById = (db: Queries, studioId: string, takeId: string) =>
  db.one(takeRow, `${TAKE} where take.studio_id = $1 and take.id = $2`, [studioId, takeId]);

/** Whether a take has arrived whole, and under which session. */
export const takeThere = (db: Queries, studioId: string, takeId: string) =>
  db.maybeOne(
    v.object({ session_id: idRow, bytes: v.number() }),
    "select session_id, bytes from take where studio_id = $1 and id = $2",
    [studioId, takeId],
  );

export const personOfTake = (db: Queries, studioId: string, takeId: string) =>
  db.one(
    v.object({ person_id: idRow }),
    "select person_id from take where studio_id = $1 and id = $2",
    [studioId, takeId],
  );

/** The takes of a passage, or of a session, the latest first. */
export const takesOf = (
  db: Queries,
  studioId: string,
  of: { readonly passageId?: string; readonly sessionId?: string },
  limit: number,
) =>
  db.many(
    takeRow,
    `${TAKE} where take.studio_id = $1
       and ($2::uuid is null or take.passage_id = $2) and ($3::uuid is null or take.session_id = $3)
     order by take.recorded_at desc, take.id limit $4`,
    [studioId, of.passageId ?? null, of.sessionId ?? null, limit],
  );

export const insertTake = (
  db: Queries,
  studioId: string,
  take: Pick<TakeRow, "id" | "person_id" | "session_id" | "passage_id" | "bytes" | "hash"> &
    Pick<TakeRow, "about" | "kept_until">,
) =>
  db.execute(
    `insert into take (studio_id, id, person_id, session_id, passage_id, play, recorded_at, tempo,
       bytes, hash, media_type, about, kept_until)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12::jsonb, $13)`,
    [
      studioId,
      take.id,
      take.person_id,
      take.session_id,
      take.passage_id,
      take.about.play,
      new Date(take.about.at),
      take.about.tempo,
      take.bytes,
      take.hash,
      take.about.mediaType,
      JSON.stringify(take.about),
      take.kept_until,
    ],
  );

/** The bars in which somebody heard a flaw; undefined before they have said what they heard. */
export const heardIn = (db: Queries, studioId: string, takeId: string, personId: string) =>
  db.maybeOne(
    v.object({ flawed: v.array(v.number()) }),
    "select flawed from take_heard where studio_id = $1 and take_id = $2 and person_id = $3",
    [studioId, takeId, personId],
  );

/** Keeps what was heard the first time: later one knows what the stand says. */
export const putHeard = (
  db: Queries,
  studioId: string,
  takeId: string,
  personId: string,
  {
    flawed,
    verdict,
    at,
  }: {
    readonly flawed: readonly number[];
    readonly verdict: string | null;
    readonly at: Date;
  },
) =>
  db.execute(
    `insert into take_heard (studio_id, take_id, person_id, flawed, stand_verdict, at)
     values ($1, $2, $3, $4::jsonb, $5, $6) on conflict (take_id, person_id) do nothing`,
    [studioId, takeId, personId, JSON.stringify(flawed), verdict, at],
  );

/** Ears get better: so many of the latest takes tell of one. */
const EAR_TAKES = 40;

/** How a player's ear in listening back compares with their verdicts at the stand, of late. */
export const earOf = (db: Queries, studioId: string, personId: string) =>
  db.one(
    v.object({ listened: v.number(), kind: v.number(), hard: v.number() }),
    `select count(*)::integer as listened,
       count(*) filter (where stand_verdict = 'clean' and flawed <> '[]')::integer as kind,
       count(*) filter (where stand_verdict = 'flawed' and flawed = '[]')::integer as hard
     from (select stand_verdict, flawed from take_heard
       where studio_id = $1 and person_id = $2 and stand_verdict is not null
       order by at desc, take_id limit $3) as latest`,
    [studioId, personId, EAR_TAKES],
  );

/** Bytes that a student's takes take up. */
export const takeBytesOf = async (db: Queries, studioId: string, personId: string) =>
  (
    await db.one(
      v.object({ bytes: v.number() }),
      `select coalesce(sum(bytes), 0)::bigint as bytes from take
       where studio_id = $1 and person_id = $2`,
      [studioId, personId],
    )
  ).bytes;

export const deleteTake = (db: Queries, studioId: string, takeId: string) =>
  db.execute("delete from take where studio_id = $1 and id = $2", [studioId, takeId]);

/** Deletes a student's takes, and tells their contents. */
export const deleteTakesOf = (db: Queries, studioId: string, personId: string) =>
  db.many(
    v.object({ hash: v.string() }),
    "delete from take where studio_id = $1 and person_id = $2 returning hash",
    [studioId, personId],
  );

/** Whether any take of any room has this content. */
export const hashInUse = async (db: Queries, hash: string): Promise<boolean> =>
  (await db.maybeOne(
    v.object({ id: idRow }),
    `select id from take where hash = $1 union all
     select id from demonstration where hash = $1 union all
     select id from hand_in_comment where hash = $1 limit 1`,
    [hash],
  )) !== undefined;

/** Takes whose days are over, in every room. */
export const deleteTakesBefore = (db: Queries, day: Day) =>
  db.execute("delete from take where kept_until < $1", [day]);

/** Which contents any take, demonstration or spoken comment of any room still is. */
export const takeHashes = async (db: Queries): Promise<string[]> =>
  (
    await db.many(
      v.object({ hash: v.string() }),
      `select hash from take union select hash from demonstration
       union select hash from hand_in_comment where hash is not null`,
    )
  ).map(({ hash }) => hash);

export interface TakesKept {
  /** How many days the studio keeps a take. */
  readonly days: number;
  /** The month, 1–12, at whose end its year is over: until then it keeps what was handed in. */
  readonly yearEnds: number;
}

export const takesKept = (db: Queries, studioId: string): Promise<TakesKept> =>
  db.one(
    v.object({ days: v.number(), yearEnds: v.number() }),
    `select takes_days as days, year_ends as "yearEnds" from studio where id = $1`,
    [studioId],
  );

/** How long takes are kept from now on; what was handed in stays as long as it would have. */
export async function setTakesKept(
  db: Queries,
  studioId: string,
  { days, yearEnds }: TakesKept,
  today: Day,
): Promise<void> {
  await db.execute("update studio set takes_days = $2, year_ends = $3 where id = $1", [
    studioId,
    days,
    yearEnds,
  ]);
  // Nothing goes before the day after tomorrow: whoever has it is told a day ahead.
  await db.execute(
    `update take set kept_until = greatest(recorded_at::date + $2::integer, $3::date + 1)
     where studio_id = $1
       and not exists (select from hand_in where hand_in.take_id = take.id)`,
    [studioId, days, today],
  );
}

/** How many takes of a student go on a day or before. */
export const takesLeaving = async (
  db: Queries,
  studioId: string,
  personId: string,
  day: Day,
): Promise<number> =>
  (
    await db.one(
      v.object({ count: v.number() }),
      `select count(*)::integer as count from take
       where studio_id = $1 and person_id = $2 and kept_until < $3`,
      [studioId, personId, day],
    )
  ).count;

/** Whether parents may hear the takes of a student. */
export const parentsHear = async (
  db: Queries,
  studioId: string,
  personId: string,
): Promise<boolean> =>
  (
    await db.one(
      v.object({ parents_hear: v.boolean() }),
      "select parents_hear from person where studio_id = $1 and id = $2",
      [studioId, personId],
    )
  ).parents_hear;

export const letParentsHear = (db: Queries, studioId: string, personId: string, may: boolean) =>
  db.execute("update person set parents_hear = $3 where studio_id = $1 and id = $2", [
    studioId,
    personId,
    may,
  ]);

const keptSound = v.object({
  hash: v.string(),
  media_type: v.string(),
  bytes: v.number(),
  /** What it is of: its day, title and bars, for the name of a file. */
  day: v.nullable(dayRow),
  title: v.string(),
  what: v.picklist(["take", "comment", "demonstration"]),
});

/** The sounds of a room, or of one student: takes, spoken comments, demonstrations; each once. */
export const soundsKept = (db: Queries, studioId: string, personId: string | null = null) =>
  db.many(
    keptSound,
    `select distinct on (hash) hash, media_type, bytes, day, title, what from (
       select hash, media_type, take.bytes, recorded_at::date as day, title, 'take' as what
       from take join passage on passage.id = passage_id join piece on piece.id = piece_id
       where take.studio_id = $1 and ($2::uuid is null or take.person_id = $2)
       union all
       select hash, media_type, bytes, hand_in_comment.at::date, title, 'comment'
       from hand_in_comment join hand_in on hand_in.id = hand_in_id
       where hand_in_comment.studio_id = $1 and hash is not null
         and ($2::uuid is null or person_id = $2)
       union all
       select hash, media_type, bytes, null, title || ', ' || name, 'demonstration'
       from demonstration join piece on piece.id = piece_id
       where demonstration.studio_id = $1
         and ($2::uuid is null or exists (select from person_piece
           where person_id = $2 and person_piece.piece_id = piece.id))
     ) sound order by hash, what desc`,
    [studioId, personId],
  );
