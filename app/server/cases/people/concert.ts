import { err, ok, type Result } from "~/core/result";
import { dropOutlook, setStudioConcert, studioById } from "~/db/queries";
import { concertFormSchema } from "~/forms/concert";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { todayIn, type Services } from "../../services";

/** The day that everything is prepared for; one that is over is refused. */
export async function chooseConcert(
  services: Services,
  studioId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, concertFormSchema);
  if (!read.ok) return read;
  const { name, day } = read.value;
  const today = todayIn(services, await studioById(services.db, studioId));
  if (day < today) {
    return err({ errors: { day: "That day is over. Choose one ahead." }, values: { name, day } });
  }
  await setStudioConcert(services.db, studioId, name, day);
  await dropOutlook(services.db, studioId, null);
  return ok(undefined);
}
