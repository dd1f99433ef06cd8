import * as v from "valibot";
import { CHILD_LIMITS, withSimpleTimes, type SimpleTimes, type WeekTimes } from "~/core/week";
import { err, ok, type Result } from "~/core/result";
import { dropOutlook, draftsOfAll, setTimes, studentById, studioById } from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { todayIn, type Services } from "../../services";
import { readGiven } from "../give/give";
import { lessonPage } from "../week/lesson";
import { setWeek } from "../week/set-week";
import { studentsToChoose } from "./whom";

/** Who can be chosen, and the weeks that are prepared for students. */
export async function severalPage(services: Services, studioId: string) {
  const { db } = services;
  const [studio, students, drafts] = await Promise.all([
    studioById(db, studioId),
    studentsToChoose(db, studioId),
    draftsOfAll(db, studioId),
  ]);
  return { today: todayIn(services, studio), students, drafts };
}

const weekday = v.pipe(
  v.string(),
  v.transform(Number),
  v.integer("Choose a weekday."),
  v.minValue(0, "Choose a weekday."),
  v.maxValue(6, "Choose a weekday."),
);
const minutes = v.pipe(
  v.string(),
  v.transform(Number),
  v.number("Minutes are a number."),
  v.integer("Whole minutes."),
  v.minValue(5, "At least 5 minutes."),
  v.maxValue(240, "At most 240 minutes."),
);
const clock = v.pipe(v.string(), v.regex(/^([01]\d|2[0-3]):[0-5]\d$/, "Write the time as 15:30."));

/** What is said for all; nothing where nothing was said. */
function readTimes(form: FormData): Result<SimpleTimes, FormRefused> {
  const typed = (name: string) => String(form.get(name) ?? "").trim();
  const values = Object.fromEntries(
    ["minutes", "lesson-day", "lesson-from", "limits"].map((name) => [name, typed(name)]),
  );
  const refuse = (name: string, sentence: string) => err({ errors: { [name]: sentence }, values });
  const said: { -readonly [K in keyof SimpleTimes]: SimpleTimes[K] } = {};
  const weekdays = form.getAll("weekday");
  if (values.minutes !== "" || weekdays.length > 0) {
    if (weekdays.length === 0) return refuse("minutes", "Choose the weekdays.");
    const days = v.safeParse(v.array(weekday), weekdays);
    if (!days.success) return refuse("minutes", days.issues[0].message);
    const read = v.safeParse(minutes, values.minutes);
    if (!read.success) return refuse("minutes", read.issues[0].message);
    said.practice = { weekdays: [...new Set(days.output)], minutes: read.output };
  }
  if (values["lesson-day"] !== "") {
    const day = v.safeParse(weekday, values["lesson-day"]);
    if (!day.success) return refuse("lesson-day", day.issues[0].message);
    const from = v.safeParse(clock, values["lesson-from"]);
    if (!from.success) return refuse("lesson-from", from.issues[0].message);
    said.lesson = { weekday: day.output, from: from.output };
  }
  if (values.limits === "child") said.limits = CHILD_LIMITS;
  if (values.limits === "none") said.limits = null;
  if (Object.keys(said).length === 0) return refuse("minutes", "Fill in what you want to change.");
  return ok(said);
}

/** The same practice times, lesson or limits for several students: for all of them, or for none. */
export async function setTimesOfSeveral(
  { db }: Services,
  studioId: string,
  form: FormData,
): Promise<Result<number, FormRefused>> {
  const said = readTimes(form);
  if (!said.ok) return said;
  const to = readGiven(form);
  if (!to.ok) return to;
  return db.transaction(async (tx): Promise<Result<number, FormRefused>> => {
    const changed: { readonly id: string; readonly times: WeekTimes }[] = [];
    for (const id of to.value) {
      const { name, times } = await studentById(tx, studioId, id);
      const read = withSimpleTimes(times, said.value);
      if (!read.success) {
        return err({ errors: { form: `${name}: ${read.issues[0].message}` }, values: {} });
      }
      changed.push({ id, times: read.output });
    }
    for (const { id, times } of changed) {
      await setTimes(tx, studioId, id, times);
      await dropOutlook(tx, studioId, id);
    }
    return ok(changed.length);
  });
}

export interface Assigned {
  readonly assigned: number;
  /** Whose week could not be, and why. */
  readonly not: readonly { readonly name: string; readonly sentence: string }[];
}

const chosenSchema = v.pipe(
  v.array(v.pipe(v.string(), v.uuid("A student can't be read."))),
  v.minLength(1, "Choose at least one week."),
);

/**
 * Sets weeks that are prepared, each as its lesson has it: from the day on which it begins, or today
 * where that has gone by, what ends before it decided as its record suggests.
 */
export async function setPreparedWeeks(
  services: Services,
  studioId: string,
  form: FormData,
): Promise<Result<Assigned, FormRefused>> {
  const chosen = v.safeParse(chosenSchema, form.getAll("week"));
  if (!chosen.success) return err({ errors: { week: chosen.issues[0].message }, values: {} });
  const drafts = (await draftsOfAll(services.db, studioId)).filter(({ person_id }) =>
    chosen.output.includes(person_id),
  );
  const not: { name: string; sentence: string }[] = [];
  for (const { person_id: personId, name } of drafts) {
    const { draft, last } = await lessonPage(services, studioId, personId);
    const { version, after, from, until, text } = draft;
    const open = last?.items.filter(({ decision }) => decision === "open") ?? [];
    const decisions = Object.fromEntries(open.map(({ id, suggested }) => [id, suggested]));
    const sent = { version, after, from, until, text, decisions };
    const done = await setWeek(services, studioId, personId, sent);
    if (!done.ok) not.push({ name, sentence: Object.values(done.error.errors)[0]! });
  }
  return ok({ assigned: drafts.length - not.length, not });
}
