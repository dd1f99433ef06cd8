import * as v from "valibot";
import { beatUnitSchema } from "~/core/score";
import { GROUP_KINDS, groupItemSchema, itemSchema, type GroupItem } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow, personRow, momentRow } from "./rows";

const groupRow = v.object({
  id: idRow,
  name: v.string(),
  kind: v.picklist(GROUP_KINDS),
  members: v.array(idRow),
});
export type Group = v.InferOutput<typeof groupRow>;

const GROUP = `
  select id, name, kind, coalesce((select jsonb_agg(person_id) from group_member
    where group_id = student_group.id), '[]') as members
  from student_group`;

export const groupsOf = (db: Queries, studioId: string) =>
  db.many(groupRow, `${GROUP} where studio_id = $1 order by name collate "und-x-icu"`, [studioId]);

export const groupById = (db: Queries, studioId: string, groupId: string) =>
  db.one(groupRow, `${GROUP} where studio_id = $1 and id = $2`, [studioId, groupId]);

/** Writes a group, new or as it is called now. */
export const putGroup = (
  db: Queries,
  studioId: string,
  { id, name, kind }: Omit<Group, "members">,
  at: Date,
) =>
  db.execute(
    `insert into student_group (studio_id, id, name, kind, made_at) values ($1, $2, $3, $4, $5)
     on conflict (id) do update set name = excluded.name, kind = excluded.kind
     where student_group.studio_id = $1`,
    [studioId, id, name, kind, at],
  );

/** Who belongs to a group, from now on. */
export async function putMembers(
  db: Queries,
  studioId: string,
  groupId: string,
  members: readonly string[],
): Promise<void> {
  await db.execute(
    `delete from group_member
     where studio_id = $1 and group_id = $2 and person_id <> all($3::uuid[])`,
    [studioId, groupId, members],
  );
  await db.execute(
    `insert into group_member (studio_id, group_id, person_id)
     select $1, $2, unnest($3::uuid[]) on conflict do nothing`,
    [studioId, groupId, members],
  );
}

export const dropGroup = (db: Queries, studioId: string, groupId: string) =>
  db.execute("delete from student_group where studio_id = $1 and id = $2", [studioId, groupId]);

/** The members of a group, by name. */
export const membersOf = (db: Queries, studioId: string, groupId: string) =>
  db.many(
    personRow,
    `select id, name, role, plays, instrument, no_verdict, times
     from person join group_member on group_member.person_id = person.id
     where person.studio_id = $1 and group_id = $2 order by name collate "und-x-icu"`,
    [studioId, groupId],
  );

const itemRow = v.object({
  id: idRow,
  group_id: idRow,
  asked: groupItemSchema,
  until_day: dayRow,
  set_at: momentRow,
});
export type GroupItemRow = v.InferOutput<typeof itemRow>;

const ITEM = "id, group_id, asked, until_day, set_at";

/** What is set for a group until a day or later, oldest first. */
export const groupItems = (db: Queries, studioId: string, groupId: string, since: Day) =>
  db.many(
    itemRow,
    `select ${ITEM} from group_item where studio_id = $1 and group_id = $2 and until_day >= $3
     order by set_at, id`,
    [studioId, groupId, since],
  );

export const groupItemById = (db: Queries, studioId: string, itemId: string) =>
  db.one(itemRow, `select ${ITEM} from group_item where studio_id = $1 and id = $2`, [
    studioId,
    itemId,
  ]);

/** Writes what is set for a group; what was set already is changed. */
export const putGroupItem = (
  db: Queries,
  studioId: string,
  it: {
    readonly id: string;
    readonly groupId: string;
    readonly asked: GroupItem;
    readonly until: Day;
    readonly at: Date;
  },
) =>
  db.execute(
    `insert into group_item (studio_id, id, group_id, asked, until_day, set_at, changed_at)
     values ($1, $2, $3, $4::jsonb, $5, $6, $6)
     on conflict (id) do update set asked = excluded.asked, until_day = excluded.until_day,
       changed_at = excluded.changed_at where group_item.studio_id = $1`,
    [studioId, it.id, it.groupId, JSON.stringify(it.asked), it.until, it.at],
  );

export const dropGroupItem = (db: Queries, studioId: string, itemId: string) =>
  db.execute("delete from group_item where studio_id = $1 and id = $2", [studioId, itemId]);

export const LEFT_OUT_FOR = ["by-you", "hurt", "full"] as const;
export type LeftOutFor = (typeof LEFT_OUT_FOR)[number];

const landedRow = v.object({
  group_item_id: idRow,
  person_id: idRow,
  left_out: v.nullable(v.picklist(LEFT_OUT_FOR)),
  item: v.nullable(itemSchema),
  ladder_number: v.nullable(v.number()),
  kept_theirs: v.boolean(),
});
export type Landed = v.InferOutput<typeof landedRow>;

/** How items came to the members. */
export const landedOf = (db: Queries, studioId: string, itemIds: readonly string[]) =>
  db.many(
    landedRow,
    `select group_item_id, person_id, left_out, item, ladder_number, kept_theirs from group_landed
     where studio_id = $1 and group_item_id = any($2::uuid[])`,
    [studioId, itemIds],
  );

export const putLanded = (db: Queries, studioId: string, it: Landed) =>
  db.execute(
    `insert into group_landed
       (studio_id, group_item_id, person_id, left_out, item, ladder_number, kept_theirs)
     values ($1, $2, $3, $4, $5::jsonb, $6, $7)
     on conflict (group_item_id, person_id) do update set left_out = excluded.left_out,
       item = excluded.item, ladder_number = excluded.ladder_number, kept_theirs = excluded.kept_theirs`,
    [
      studioId,
      it.group_item_id,
      it.person_id,
      it.left_out,
      it.item && JSON.stringify(it.item),
      it.ladder_number,
      it.kept_theirs,
    ],
  );

/** The pieces on the stands of a group's members, with how many have each; the common ones first. */
export const piecesForGroup = (db: Queries, studioId: string, groupId: string) =>
  db.many(
    v.object({
      id: idRow,
      title: v.string(),
      bars: v.number(),
      mark_bpm: v.number(),
      mark_unit: beatUnitSchema,
      played: v.number(),
    }),
    `select piece.id, title, bars, mark_bpm, mark_unit, count(group_member.person_id)::integer as played
     from piece
     left join person_piece on person_piece.piece_id = piece.id
     left join group_member on group_member.person_id = person_piece.person_id and group_id = $2
     where piece.studio_id = $1
     group by piece.id order by played desc, title`,
    [studioId, groupId],
  );
