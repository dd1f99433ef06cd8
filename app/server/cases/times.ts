import * as v from "valibot";
import { timesSchema } from "~/core/week";
import { setTimes, studentById } from "~/db/queries";
import { sentences } from "~/core/result";
import { err, ok, type Result } from "~/core/result";
import type { FormRefused } from "../form";
import type { Services } from "../services";

const textSchema = v.pipe(
  v.string("The times can't be read."),
  v.parseJson(undefined, "The times can't be read."),
  timesSchema,
);

export const timesPage = async ({ db }: Services, studioId: string, personId: string) => {
  const { id, name, times } = await studentById(db, studioId, personId);
  return { person: { id, name }, times };
};

/** When there is time, and when the lesson is; JSON in one field. */
export async function chooseTimes(
  { db }: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = v.safeParse(textSchema, form.get("times") ?? undefined);
  if (!read.success) {
    const first = Object.values(sentences(read.issues))[0]!;
    return err({ errors: { form: first }, values: {} });
  }
  await setTimes(db, studioId, personId, read.output);
  return ok(undefined);
}
