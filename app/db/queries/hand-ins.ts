import * as v from "valibot";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow, momentRow } from "./rows";

const handInRow = v.object({
  id: idRow,
  person_id: idRow,
  item_id: idRow,
  title: v.string(),
  take_id: idRow,
  line: v.string(),
  due: dayRow,
  at: momentRow,
  answer: v.nullable(v.picklist(["heard", "again"])),
  rating: v.string(),
  answered_at: v.nullable(momentRow),
  comments: v.array(
    v.object({ id: idRow, bar: v.nullable(v.number()), text: v.string(), spoken: v.boolean() }),
  ),
});
export type HandInRow = v.InferOutput<typeof handInRow>;

const HAND_IN = `
  select hand_in.id, hand_in.person_id, item_id, title, take_id, line, due, hand_in.at, answer,
    rating, answered_at,
    coalesce((select jsonb_agg(jsonb_build_object('id', id, 'bar', bar, 'text', text,
          'spoken', hash is not null)
        order by bar nulls first, at)
      from hand_in_comment where hand_in_id = hand_in.id), '[]') as comments
  from hand_in`;

/** What was handed in with a take. */
export const handInsOfTake = (db: Queries, studioId: string, takeId: string) =>
  db.many(handInRow, `${HAND_IN} where studio_id = $1 and take_id = $2 order by hand_in.at`, [
    studioId,
    takeId,
  ]);

export const handInById = (db: Queries, studioId: string, id: string) =>
  db.one(handInRow, `${HAND_IN} where studio_id = $1 and id = $2`, [studioId, id]);

/** What a student has handed in for an item. */
export const handInForItem = (db: Queries, studioId: string, personId: string, itemId: string) =>
  db.maybeOne(handInRow, `${HAND_IN} where studio_id = $1 and person_id = $2 and item_id = $3`, [
    studioId,
    personId,
    itemId,
  ]);

/** What of a student was answered since a day, the latest first. */
export const answeredSince = (db: Queries, studioId: string, personId: string, since: Date) =>
  db.many(
    handInRow,
    `${HAND_IN} where studio_id = $1 and person_id = $2 and answered_at >= $3
     order by answered_at desc`,
    [studioId, personId, since],
  );

/** What was handed in for items, whoever's they are. */
export const handInsForItems = (db: Queries, studioId: string, itemIds: readonly string[]) =>
  db.many(
    v.object({
      person_id: idRow,
      item_id: idRow,
      take_id: idRow,
      due: dayRow,
      at: momentRow,
      answer: v.nullable(v.picklist(["heard", "again"])),
      rating: v.string(),
    }),
    `select person_id, item_id, take_id, due, at, answer, rating from hand_in
     where studio_id = $1 and item_id = any($2::uuid[])`,
    [studioId, itemIds],
  );

/** Everything that waits to be heard, the oldest first. */
export const waitingHandIns = (db: Queries, studioId: string) =>
  db.many(
    v.object({
      take_id: idRow,
      title: v.string(),
      name: v.string(),
      line: v.string(),
      due: dayRow,
      at: momentRow,
    }),
    `select take_id, title, name, line, due, at from hand_in
     join person on person.id = hand_in.person_id
     where hand_in.studio_id = $1 and answer is null order by at, hand_in.id`,
    [studioId],
  );

/** Hands a take in for an item, instead of what was handed in for it before. */
export const putHandIn = (
  db: Queries,
  studioId: string,
  it: Pick<HandInRow, "id" | "person_id" | "item_id" | "title" | "take_id" | "line" | "at"> & {
    readonly due: Day;
  },
) =>
  db.execute(
    `insert into hand_in (studio_id, id, person_id, item_id, title, take_id, line, due, at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (person_id, item_id) do update set take_id = excluded.take_id,
       line = excluded.line, title = excluded.title, due = excluded.due, at = excluded.at,
       answer = null, rating = '', answered_at = null`,
    [studioId, it.id, it.person_id, it.item_id, it.title, it.take_id, it.line, it.due, it.at],
  );

export const answerHandIn = (
  db: Queries,
  studioId: string,
  id: string,
  { answer, rating, at }: { readonly answer: string; readonly rating: string; readonly at: Date },
) =>
  db.execute(
    `update hand_in set answer = $3, rating = $4, answered_at = $5
     where studio_id = $1 and id = $2`,
    [studioId, id, answer, rating, at],
  );

/** Adds a comment; the same one sent again changes nothing. */
export const addComment = (
  db: Queries,
  studioId: string,
  handInId: string,
  it: {
    readonly id: string;
    readonly bar: number | null;
    readonly text: string;
    readonly at: Date;
    readonly sound: KeptSound | undefined;
  },
) =>
  db.execute(
    `insert into hand_in_comment (studio_id, id, hand_in_id, bar, text, at, hash, media_type, bytes)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9) on conflict (id) do nothing`,
    [
      studioId,
      it.id,
      handInId,
      it.bar,
      it.text,
      it.at,
      it.sound?.hash ?? null,
      it.sound?.mediaType ?? null,
      it.sound?.bytes ?? null,
    ],
  );

/** A sound that lies beside the database. */
export interface KeptSound {
  readonly hash: string;
  readonly mediaType: string;
  readonly bytes: number;
}

/** The sound of a spoken comment on what was handed in with a take. */
export const spokenComment = (db: Queries, studioId: string, takeId: string, id: string) =>
  db.maybeOne(
    v.object({ hash: v.string(), media_type: v.string() }),
    `select hash, media_type from hand_in_comment
     join hand_in on hand_in.id = hand_in_id
     where hand_in_comment.studio_id = $1 and take_id = $2 and hand_in_comment.id = $3
       and hash is not null`,
    [studioId, takeId, id],
  );

/** Contents of what was said aloud of a student's takes, or of one. */
export const spokenOf = async (
  db: Queries,
  studioId: string,
  of: { readonly takeId?: string; readonly personId?: string },
): Promise<string[]> =>
  (
    await db.many(
      v.object({ hash: v.string() }),
      `select hash from hand_in_comment
       join hand_in on hand_in.id = hand_in_id
       where hand_in_comment.studio_id = $1 and hash is not null
         and ($2::uuid is null or take_id = $2) and ($3::uuid is null or person_id = $3)`,
      [studioId, of.takeId ?? null, of.personId ?? null],
    )
  ).map(({ hash }) => hash);

/** What is handed in is kept longer, until a day at least. */
export const keepTakeUntil = (db: Queries, studioId: string, takeId: string, day: Day) =>
  db.execute(
    `update take set kept_until = greatest(kept_until, $3::date)
     where studio_id = $1 and id = $2`,
    [studioId, takeId, day],
  );
