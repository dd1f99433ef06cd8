import * as v from "valibot";
import { GOAL_SPANS, type WordedGoal } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

const goalRow = v.object({
  id: idRow,
  span: v.picklist(GOAL_SPANS),
  text: v.string(),
  from_day: dayRow,
  serves: v.nullable(idRow),
  done_on: v.nullable(dayRow),
});

/** A student's goals in words since a day, oldest first. */
export const wordedGoalsOf = (db: Queries, studioId: string, personId: string, since: Day) =>
  db.many(
    goalRow,
    `select id, span, text, from_day, serves, done_on from worded_goal
     where studio_id = $1 and person_id = $2 and from_day >= $3 order by from_day, id`,
    [studioId, personId, since],
  );

/** The id is made on the client: sent twice, it is one goal. What it serves is the same person's. */
export const insertWordedGoal = (
  db: Queries,
  studioId: string,
  personId: string,
  goal: Omit<WordedGoal, "done_on">,
) =>
  db.execute(
    `insert into worded_goal (id, studio_id, person_id, span, text, from_day, serves)
     values ($1, $2, $3, $4, $5, $6,
       (select id from worded_goal where id = $7 and studio_id = $2 and person_id = $3))
     on conflict (id) do nothing`,
    [goal.id, studioId, personId, goal.span, goal.text, goal.from_day, goal.serves],
  );

/** Checks a goal off, or opens it again. */
export const markWordedGoal = (
  db: Queries,
  studioId: string,
  personId: string,
  id: string,
  doneOn: Day | null,
) =>
  db.execute(
    "update worded_goal set done_on = $4 where studio_id = $1 and person_id = $2 and id = $3",
    [studioId, personId, id, doneOn],
  );

export const dropWordedGoal = (db: Queries, studioId: string, personId: string, id: string) =>
  db.execute("delete from worded_goal where studio_id = $1 and person_id = $2 and id = $3", [
    studioId,
    personId,
    id,
  ]);
