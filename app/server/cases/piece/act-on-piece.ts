import * as v from "valibot";
import { err, ok, sentences, unreachable, type Result } from "~/core/result";
import { PASSAGE_STATES, stagesSchema } from "~/core/score";
import { pieceOfPerson, setStages } from "~/db/queries";
import { cutFormSchema } from "~/forms/cut";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import type { Services } from "../../services";
import { planMemory } from "../heart/memory";
import type { OfPiece } from "./of-piece";
import { markTrouble, measurePassages } from "./trouble";
import { cutPassage, putAway, putBack, setState } from "./passages";
import { moveLadder } from "./tempo-moved";
import { setTempi } from "./tempi";

const id = v.pipe(v.string(), v.uuid());

/** What the piece page can ask for besides a cut. */
const actSchema = v.variant("act", [
  v.object({ act: v.literal("cut") }),
  v.object({ act: v.literal("take") }),
  v.object({ act: v.literal("mark") }),
  v.object({
    act: v.literal("state"),
    passage: id,
    state: v.picklist([...PASSAGE_STATES, "record"]),
  }),
  v.object({ act: v.literal("retire"), passage: id }),
  v.object({ act: v.literal("put-back"), passage: id }),
  v.object({ act: v.literal("memory") }),
  v.object({ act: v.literal("tempi") }),
  v.object({ act: v.literal("move-ladder"), passage: id }),
  v.object({
    act: v.literal("stages"),
    stages: v.pipe(v.string(), v.parseJson(undefined, "The stages can't be read."), stagesSchema),
  }),
]);

/** Cuts a passage (and gives its id), or changes one. */
export async function actOnPiece(
  services: Services,
  { studioId, personId, pieceId }: OfPiece,
  form: FormData,
): Promise<Result<string | undefined, FormRefused>> {
  const act = v.safeParse(actSchema, Object.fromEntries(form));
  if (!act.success) return err({ errors: sentences(act.issues), values: {} });
  switch (act.output.act) {
    case "cut":
    case "take": {
      const piece = await pieceOfPerson(services.db, studioId, personId, pieceId);
      const cut = readForm(form, cutFormSchema(piece));
      if (!cut.ok) return cut;
      const passageId = await cutPassage(services, studioId, { personId, pieceId }, cut.value);
      await measurePassages(services, { studioId, personId, pieceId });
      // What is taken from a proposal leaves one where the others are.
      return ok(act.output.act === "take" ? undefined : passageId);
    }
    case "mark":
      return markTrouble(services, { studioId, personId, pieceId }, form);
    case "state": {
      const { passage, state } = act.output;
      await setState(services, studioId, passage, state === "record" ? null : state);
      return ok(undefined);
    }
    case "retire":
      await putAway(services, studioId, act.output.passage);
      return ok(undefined);
    case "put-back":
      await putBack(services, studioId, act.output.passage);
      return ok(undefined);
    case "stages":
      await setStages(services.db, studioId, personId, pieceId, act.output.stages);
      return ok(undefined);
    case "memory":
      return planMemory(services, { studioId, personId, pieceId }, form);
    case "tempi":
      return setTempi(services, { studioId, personId, pieceId }, form);
    case "move-ladder":
      return moveLadder(services, { studioId, personId, pieceId }, act.output.passage);
    default:
      return unreachable(act.output);
  }
}
