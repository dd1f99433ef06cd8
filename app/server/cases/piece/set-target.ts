import * as v from "valibot";
import { ladderSchema } from "~/core/ladder";
import { err, ok, type Result } from "~/core/result";
import { tempoSchema } from "~/core/score";
import { bpm } from "~/core/units";
import { passageById } from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import type { Services } from "../../services";
import { setLadder } from "./passages";
import { fitsPassage } from "./workshop";

const targetSchema = v.pipe(v.string(), v.transform(Number), tempoSchema);
const NOT_A_TARGET = "Choose a tempo from 10 to 400 bpm for a passage that has a ladder.";

/**
 * Takes the ladder of a passage to another target, everything else as it is; tells both, so that
 * another press takes it back.
 */
export async function setTarget(
  services: Services,
  studioId: string,
  passageId: string,
  form: FormData,
): Promise<Result<{ readonly is: number; readonly was: number }, FormRefused>> {
  const read = v.safeParse(targetSchema, form.get("target"));
  const passage = await passageById(services.db, studioId, passageId);
  const { ladder } = passage;
  if (!read.success || !ladder) return err({ errors: { form: NOT_A_TARGET }, values: {} });
  const target = bpm(read.output);
  const start = bpm(Math.min(ladder.start, target));
  const changed = v.safeParse(ladderSchema, { ...ladder, target, start });
  if (!changed.success) {
    return err({ errors: { form: changed.issues[0].message }, values: {} });
  }
  const fits = fitsPassage(changed.output, passage);
  if (!fits.ok) return fits;
  await setLadder(services, studioId, passageId, fits.value, "follow");
  return ok({ is: target, was: ladder.target });
}
