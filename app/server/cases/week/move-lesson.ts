import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { daysBetween, type Day } from "~/core/units";
import {
  assignmentsOf,
  beginsOn,
  draftBeginsOn,
  dropOutlook,
  lastsUntil,
  studentById,
  studioById,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { weekOn, WEEKS_AROUND } from "../../plan/week-on";
import { todayIn, type Services } from "../../services";

const MOST_DAYS_AHEAD = 28;

const schema = v.object({ day: v.pipe(v.string(), v.isoDate("Choose a day.")) });

const refusedFor = (day: string) => err({ errors: { day }, values: {} });

/**
 * Moves the lesson that is coming to another day, once: the week that is on lasts until then, what
 * is prepared begins then, and the weekly times stay.
 */
export async function moveLesson(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<{ day: Day }, FormRefused>> {
  const read = readForm(form, schema);
  if (!read.ok) return err(read.error);
  const { day } = read.value;
  return services.db.transaction(async (tx) => {
    const today = todayIn(services, await studioById(tx, studioId));
    await studentById(tx, studioId, personId);
    const weeks = await assignmentsOf(tx, studioId, personId, WEEKS_AROUND);
    const running = weekOn(weeks, today);
    const on = weeks.find(({ id }) => id === running?.id);
    if (!on) return refusedFor("No week is on. Choose the day at the lesson.");
    if (day < today || day <= on.from_day) return refusedFor("Choose today or a later day.");
    if (daysBetween(today, day) > MOST_DAYS_AHEAD)
      return refusedFor("Choose a day within 4 weeks.");
    const was = on.until_day;
    const ahead = weeks[0] && weeks[0].from_day > today ? weeks[0] : undefined;
    if (ahead && ahead.until_day <= day) {
      return refusedFor("The next week ends before that day. Choose an earlier one.");
    }
    await lastsUntil(tx, studioId, on.id, day);
    // Two weeks never ask for the same day.
    if (ahead && (ahead.from_day === was || ahead.from_day < day)) {
      await beginsOn(tx, studioId, { id: ahead.id, from: ahead.from_day, day });
    }
    await draftBeginsOn(tx, studioId, personId, { was, day });
    await dropOutlook(tx, studioId, personId);
    return ok({ day });
  });
}
