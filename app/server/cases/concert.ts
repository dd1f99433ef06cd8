import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { setStudioConcert, studioById } from "~/db/queries";
import { readForm, type FormRefused } from "../form";
import { todayIn, type Services } from "../services";
import { nameSchema } from "./open-room";

const concertSchema = v.object({
  name: nameSchema("the concert a name"),
  day: v.pipe(v.string(), v.isoDate("Choose a day.")),
});

/** The day that everything is prepared for; one that is over is refused. */
export async function chooseConcert(
  services: Services,
  studioId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, concertSchema);
  if (!read.ok) return read;
  const { name, day } = read.value;
  const today = todayIn(services, await studioById(services.db, studioId));
  if (day < today) {
    return err({ errors: { day: "That day is over. Choose one ahead." }, values: { name, day } });
  }
  await setStudioConcert(services.db, studioId, name, day);
  return ok(undefined);
}
