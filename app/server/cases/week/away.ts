import * as v from "valibot";
import { timesSchema } from "~/core/week";
import { err, ok, sentences, type Result } from "~/core/result";
import { addDays, daysBetween } from "~/core/units";
import { dropOutlook, setTimes, studentById, studioById } from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { todayIn, type Services } from "../../services";

const LONGEST_AWAY = 62;
const day = (sentence: string) => v.pipe(v.string(sentence), v.isoDate(sentence));
const schema = v.object({ from: day("From which day?"), until: day("Until which day?") });

/** No time on the days of a journey or an illness, both included: nothing is asked then. */
export async function setAway(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, schema);
  if (!read.ok) return err(read.error);
  const { from, until } = read.value;
  const refuse = (name: "from" | "until", sentence: string) =>
    err({ errors: { [name]: sentence }, values: read.value });
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  if (from < today) return refuse("from", "Choose today or a later day.");
  if (until < from) return refuse("until", "Choose the same day or a later one.");
  const count = daysBetween(from, until) + 1;
  if (count > LONGEST_AWAY) return refuse("until", "At most two months at once.");
  const { times } = await studentById(db, studioId, personId);
  const dates = [
    ...times.dates.filter((each) => each.day >= today && (each.day < from || each.day > until)),
    ...Array.from({ length: count }, (_, n) => ({ day: addDays(from, n), minutes: 0 })),
  ].toSorted((a, b) => a.day.localeCompare(b.day));
  const checked = v.safeParse(timesSchema.pipe[0].entries.dates, dates);
  if (!checked.success) return refuse("until", Object.values(sentences(checked.issues))[0]!);
  await setTimes(db, studioId, personId, { ...times, dates });
  await dropOutlook(db, studioId, personId);
  return ok(undefined);
}
