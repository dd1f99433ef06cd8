import * as v from "valibot";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

const questionRow = v.object({
  id: idRow,
  person_id: idRow,
  day: dayRow,
  text: v.string(),
  answer: v.string(),
  closed_on: v.nullable(dayRow),
});
export type Question = v.InferOutput<typeof questionRow>;

const COLUMNS = "id, person_id, day, text, answer, closed_on";

/** A student's questions that wait, and those that were closed since a day; oldest first. */
export const questionsOf = (db: Queries, studioId: string, personId: string, since: Day) =>
  db.many(
    questionRow,
    `select ${COLUMNS} from question
     where studio_id = $1 and person_id = $2 and (closed_on is null or closed_on >= $3)
     order by day, id`,
    [studioId, personId, since],
  );

/** Every question of the studio that waits, oldest first. */
export const questionsWaiting = (db: Queries, studioId: string) =>
  db.many(
    questionRow,
    `select ${COLUMNS} from question where studio_id = $1 and closed_on is null order by day, id`,
    [studioId],
  );

/** The id is made where it was asked: sent twice, it is asked once. */
export const insertQuestion = (
  db: Queries,
  studioId: string,
  personId: string,
  question: Pick<Question, "id" | "day" | "text">,
) =>
  db.execute(
    `insert into question (id, studio_id, person_id, day, text) values ($1, $2, $3, $4, $5)
     on conflict (id) do nothing`,
    [question.id, studioId, personId, question.day, question.text],
  );

/** Answers a question of a student, or only closes it. */
export const closeQuestion = (
  db: Queries,
  studioId: string,
  personId: string,
  closed: { readonly id: string; readonly answer: string; readonly day: Day },
) =>
  db.execute(
    `update question set answer = $4, closed_on = $5
     where studio_id = $1 and person_id = $2 and id = $3`,
    [studioId, personId, closed.id, closed.answer, closed.day],
  );
