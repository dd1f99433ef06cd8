import * as v from "valibot";
import { ladderSchema } from "~/core/ladder";
import { shapeSchema } from "~/core/session";
import { LIBRARY_KINDS, type LibraryKind } from "~/core/week";
import type { Queries } from "~/db/client";
import { idRow, momentRow } from "./rows";

const exerciseLine = v.object({
  bars: v.number(),
  version: v.number(),
  passages: v.number(),
  ladders: v.array(ladderSchema),
  given: v.number(),
});

const lineRow = v.pipe(
  v.object({
    id: idRow,
    kind: v.picklist(LIBRARY_KINDS),
    name: v.string(),
    kept_at: momentRow,
    ladder: v.nullable(ladderSchema),
    shape: v.nullable(shapeSchema),
    exercise: v.nullable(exerciseLine),
  }),
  v.transform(({ kept_at, ...rest }) => ({ ...rest, keptAt: kept_at })),
);

export interface LibraryFilter {
  readonly find: string;
  readonly kind: LibraryKind | "";
  /** Schools whose name in the interface has the text in it. */
  readonly schools: readonly string[];
}

const LINES = `
  with line as (
    select id, 'ladder' as kind, name, kept_at, ladder, null::jsonb as shape,
      null::jsonb as exercise, jsonb_build_array(ladder) as ladders
    from kept_ladder where studio_id = $1
    union all
    select id, 'plan', name, kept_at, null, shape, null, '[]'
    from session_shape where studio_id = $1 and shared
    union all
    select exercise.id, 'exercise', exercise.name, kept_at, null, null, jsonb_build_object(
        'bars', piece.bars, 'version', version, 'passages', jsonb_array_length(passages),
        'ladders', ladders.ladders,
        'given', (select count(distinct person_id) from passage where given_exercise = exercise.id)
      ), ladders.ladders
    from exercise join piece on piece.id = piece_id
    cross join lateral (
      select coalesce(jsonb_agg(each -> 'ladder') filter (
        where jsonb_typeof(each -> 'ladder') = 'object'), '[]') as ladders
      from jsonb_array_elements(passages) as each
    ) ladders
    where exercise.studio_id = $1
  ), wanted as (
    select * from line
    where ($2 = '' or kind = $2) and (
      $3 = '' or position(lower($3) in lower(name)) > 0 or exists (
        select 1 from jsonb_array_elements(ladders) as each
        cross join jsonb_array_elements(each -> 'phases') as phase
        where phase -> 'school' ->> 'name' = any ($4)
      )
    )
  )`;

const ORDERS = { name: `name collate "und-x-icu"`, kind: "kind", kept: "kept_at" } as const;

interface Part {
  readonly sort: keyof typeof ORDERS;
  readonly down: boolean;
  readonly limit: number;
  readonly offset: number;
}

const asked = (studioId: string, { find, kind, schools }: LibraryFilter) => [
  studioId,
  kind,
  find,
  schools,
];

/** A part of what the room keeps to use again. */
export const libraryLines = (
  db: Queries,
  studioId: string,
  filter: LibraryFilter,
  { sort, down, limit, offset }: Part,
) =>
  db.many(
    lineRow,
    `${LINES} select id, kind, name, kept_at, ladder, shape, exercise from wanted
     order by ${ORDERS[sort]} ${down ? "desc" : "asc"}, name collate "und-x-icu", id
     limit $5 offset $6`,
    [...asked(studioId, filter), limit, offset],
  );

export const libraryTotal = (db: Queries, studioId: string, filter: LibraryFilter) =>
  db.one(
    v.object({ lines: v.number() }),
    `${LINES} select count(*) as lines from wanted`,
    asked(studioId, filter),
  );

const TABLES = {
  ladder: "kept_ladder",
  plan: "session_shape",
  exercise: "exercise",
} as const satisfies Record<LibraryKind, string>;

/** Gives a thing of the library another name; a name that is taken is refused by the database. */
export const renameInLibrary = (
  db: Queries,
  studioId: string,
  { kind, id, name }: { readonly kind: LibraryKind; readonly id: string; readonly name: string },
) =>
  db.execute(
    `update ${TABLES[kind]} set name = $3
     where studio_id = $1 and id = $2 ${kind === "plan" ? "and shared" : ""}`,
    [studioId, id, name],
  );

export const takeOutOfLibrary = (
  db: Queries,
  studioId: string,
  { kind, id }: { readonly kind: LibraryKind; readonly id: string },
) =>
  db.execute(
    `delete from ${TABLES[kind]}
     where studio_id = $1 and id = $2 ${kind === "plan" ? "and shared" : ""}`,
    [studioId, id],
  );

/** Whether another thing of the kind has this name. */
export const nameTaken = (
  db: Queries,
  studioId: string,
  { kind, id, name }: { readonly kind: LibraryKind; readonly id: string; readonly name: string },
) =>
  db.maybeOne(
    v.object({ id: idRow }),
    `select id from ${TABLES[kind]} where studio_id = $1 and name = $3 and id <> $2
       ${kind === "plan" ? "and shared" : ""} limit 1`,
    [studioId, id, name],
  );
