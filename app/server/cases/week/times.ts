import * as v from "valibot";
import { timesSchema } from "~/core/week";
import { dropOutlook, setTimes, studentById, studioById } from "~/db/queries";
import { sentences } from "~/core/result";
import { err, ok, type Result } from "~/core/result";
import type { FormRefused } from "~/forms/typed";
import { todayIn, type Services } from "../../services";

const textSchema = v.pipe(
  v.string("The times can't be read."),
  v.parseJson(undefined, "The times can't be read."),
  timesSchema,
);

export const timesPage = async (services: Services, studioId: string, personId: string) => {
  const { db } = services;
  const { id, name, times } = await studentById(db, studioId, personId);
  return { person: { id, name }, times, today: todayIn(services, await studioById(db, studioId)) };
};

/** When there is time, and when the lesson is; JSON in one field. */
export async function chooseTimes(
  { db }: Services,
  studioId: string,
  personId: string,
  form: FormData,
  teaches: boolean,
): Promise<Result<undefined, FormRefused>> {
  const read = v.safeParse(textSchema, form.get("times") ?? undefined);
  if (!read.success) {
    const first = Object.values(sentences(read.issues))[0]!;
    return err({ errors: { form: first }, values: {} });
  }
  // A child's limits are the teacher's to set.
  const { times } = await studentById(db, studioId, personId);
  const limits = teaches ? read.output.limits : times.limits;
  await setTimes(db, studioId, personId, { ...read.output, limits });
  await dropOutlook(db, studioId, personId);
  return ok(undefined);
}
