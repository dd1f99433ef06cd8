import * as v from "valibot";
import { GOAL_SPANS, goalsNow } from "~/core/week";
import { addDays } from "~/core/units";
import { err, ok, type Result } from "~/core/result";
import {
  dropWordedGoal,
  insertWordedGoal,
  markWordedGoal,
  studentById,
  studioById,
  wordedGoalsOf,
} from "~/db/queries";
import { readForm, type FormRefused } from "../form";
import { todayIn, type Services } from "../services";

const LONGEST = 200;
const YEAR_DAYS = 366;

const id = v.pipe(v.string(), v.uuid("The goal can't be read."));

const actSchema = v.variant("act", [
  v.object({
    act: v.literal("goal"),
    id,
    span: v.picklist(GOAL_SPANS, "Say for how long."),
    text: v.pipe(
      v.string(),
      v.trim(),
      v.minLength(1, "Write the goal first."),
      v.maxLength(LONGEST, `Keep it under ${LONGEST} characters.`),
    ),
    serves: v.pipe(
      v.optional(v.string(), ""),
      v.transform((given) => (given === "" ? null : given)),
      v.nullable(id),
    ),
  }),
  v.object({ act: v.picklist(["goal-reached", "goal-open", "goal-drop"]), id }),
]);

/** Sets a goal in words, checks one off, opens it again, or takes it away. */
export async function actOnGoals(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, actSchema);
  if (!read.ok) return err(read.error);
  const said = read.value;
  const { db } = services;
  await studentById(db, studioId, personId);
  const today = todayIn(services, await studioById(db, studioId));
  switch (said.act) {
    case "goal":
      await insertWordedGoal(db, studioId, personId, { ...said, from_day: today });
      break;
    case "goal-drop":
      await dropWordedGoal(db, studioId, personId, said.id);
      break;
    default: {
      const doneOn = said.act === "goal-reached" ? today : null;
      await markWordedGoal(db, studioId, personId, said.id, doneOn);
    }
  }
  return ok(undefined);
}

/** The goals in words that run today, each with what serves it. */
export async function goalsOfToday({ db, now }: Services, studioId: string, personId: string) {
  const today = todayIn({ now }, await studioById(db, studioId));
  const all = await wordedGoalsOf(db, studioId, personId, addDays(today, -YEAR_DAYS));
  return goalsNow(all, today);
}
