import * as v from "valibot";
import { mustDoSchema } from "~/core/session";
import { err, ok, type Result } from "~/core/result";
import {
  changeSeen,
  sayEnough,
  setMustDo,
  studentById,
  studioById,
  takeBackEnough,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { todayIn, type Services } from "../../services";
import { ask, askSchema } from "../record/questions";

const itemId = v.pipe(v.string(), v.uuid("The item can't be read."));

const actSchema = v.variant("act", [
  v.object({ act: v.picklist(["enough", "not-enough"]), itemId }),
  v.object({
    act: v.literal("must-do"),
    mustDo: v.pipe(v.string(), v.parseJson(undefined, "The list can't be read."), mustDoSchema),
  }),
  v.object({ act: v.literal("seen-change") }),
  askSchema,
]);

/** What is said on Today besides starting: enough of an item, the list for every day, a question. */
export async function actOnToday(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<{ act: v.InferOutput<typeof actSchema>["act"] }, FormRefused>> {
  const read = readForm(form, actSchema);
  if (!read.ok) return err(read.error);
  const said = read.value;
  const { db } = services;
  await studentById(db, studioId, personId);
  const day = todayIn(services, await studioById(db, studioId));
  switch (said.act) {
    case "enough":
      await sayEnough(db, studioId, personId, said.itemId, day);
      break;
    case "not-enough":
      await takeBackEnough(db, studioId, personId, said.itemId, day);
      break;
    case "seen-change":
      await changeSeen(db, studioId, personId);
      break;
    case "must-do":
      await setMustDo(db, studioId, personId, said.mustDo);
      break;
    case "ask":
      await ask(services, studioId, personId, said);
  }
  return ok({ act: said.act });
}
