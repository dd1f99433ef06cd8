import * as v from "valibot";
import { goalsNow } from "~/core/week";
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
import { goalFields, goalId } from "~/forms/goal";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { todayIn, type Services } from "../../services";

const YEAR_DAYS = 366;

const actSchema = v.variant("act", [
  v.object({ act: v.literal("goal"), id: goalId, ...goalFields }),
  v.object({ act: v.picklist(["goal-reached", "goal-open", "goal-drop"]), id: goalId }),
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
