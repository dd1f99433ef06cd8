import * as v from "valibot";
import { gradeRuleSchema, type GradeRule } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

const practiceRow = v.object({
  person_id: idRow,
  minutes: v.number(),
  by_hand: v.number(),
  days: v.number(),
  sessions: v.number(),
});

interface Period {
  readonly of: readonly string[];
  readonly from: Day;
  /** Included. */
  readonly to: Day;
}

/** What some students practised between two days, at the stand and by hand. */
export const practiceOfAll = (db: Queries, studioId: string, { of, from, to }: Period) =>
  db.many(
    practiceRow,
    `with practised as (
       select person_id, day, session_id, active_seconds / 60 as minutes, 0 as by_hand
       from session_block
       where studio_id = $1 and person_id = any($2::uuid[]) and day between $3 and $4
         and active_seconds > 0
       union all
       select person_id, day, session_id, (task ->> 'seconds')::numeric / 60, 0
       from session_outcome cross join lateral jsonb_array_elements(tasks) task
       where studio_id = $1 and person_id = any($2::uuid[]) and day between $3 and $4
         and tasks <> '[]'
       union all
       select person_id, day, null, minutes, minutes from practice_by_hand
       where studio_id = $1 and person_id = any($2::uuid[]) and day between $3 and $4
     )
     select person_id, sum(minutes)::double precision as minutes,
       sum(by_hand)::integer as by_hand, count(distinct day)::integer as days,
       count(distinct session_id)::integer as sessions
     from practised group by person_id`,
    [studioId, of, from, to],
  );

/** The first day that anything is known of some students: added, given a week, or practising. */
export const cameOn = (
  db: Queries,
  studioId: string,
  { of, timeZone }: { readonly of: readonly string[]; readonly timeZone: string },
) =>
  db.many(
    v.object({ person_id: idRow, day: dayRow }),
    `select id as person_id, least(
       (created_at at time zone $3)::date,
       (select min(from_day) from assignment where studio_id = $1 and person_id = person.id),
       (select min(day) from session_outcome where studio_id = $1 and person_id = person.id),
       (select min(day) from practice_by_hand where studio_id = $1 and person_id = person.id)
     ) as day
     from person where studio_id = $1 and id = any($2::uuid[])`,
    [studioId, of, timeZone],
  );

const takesRow = v.object({
  person_id: idRow,
  asked: v.number(),
  handed_in: v.number(),
  late: v.number(),
  ratings: v.array(v.string()),
});

/** Takes that were due between two days, those that were handed in, and how they were rated. */
export const handedInOfAll = (
  db: Queries,
  studioId: string,
  { of, from, to, timeZone }: Period & { readonly timeZone: string },
) =>
  db.many(
    takesRow,
    `with asked as (
       select distinct on (item_id) person_id, item_id,
         coalesce(due, assignment.until_day) as due
       from assignment join week_item on assignment_id = id
       where assignment.studio_id = $1 and person_id = any($2::uuid[]) and bring = 'recording'
       order by item_id, assignment.from_day, week_item.from_day desc
     )
     select asked.person_id, count(*)::integer as asked,
       count(hand_in.id)::integer as handed_in,
       (count(*) filter (
         where (hand_in.at at time zone $5)::date > hand_in.due))::integer as late,
       coalesce(jsonb_agg(rating order by hand_in.at) filter (where rating <> ''), '[]') as ratings
     from asked left join hand_in on hand_in.person_id = asked.person_id
       and hand_in.item_id = asked.item_id
     where asked.due between $3 and $4 or (hand_in.at at time zone $5)::date between $3 and $4
     group by asked.person_id`,
    [studioId, of, from, to, timeZone],
  );

const ruleRow = v.object({ grading: v.nullable(gradeRuleSchema) });

/** The rule by which practice is graded, where the teacher has set one. */
export const gradeRuleOf = async (db: Queries, studioId: string) =>
  (await db.one(ruleRow, "select grading from studio where id = $1", [studioId])).grading;

export const setGradeRule = (db: Queries, studioId: string, rule: GradeRule) =>
  db.execute("update studio set grading = $2::jsonb where id = $1", [
    studioId,
    JSON.stringify(rule),
  ]);
