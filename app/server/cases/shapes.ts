import * as v from "valibot";
import { shapeSchema } from "~/core/session";
import { dropShape, keepShape } from "~/db/queries";
import type { Services } from "../services";

const LONGEST_NAME = 80;

export const shapeActSchema = v.variant("act", [
  v.object({
    act: v.literal("keep"),
    name: v.pipe(
      v.string(),
      v.trim(),
      v.minLength(1, "Give the shape a name."),
      v.maxLength(LONGEST_NAME, `Keep it under ${LONGEST_NAME} characters.`),
    ),
    shape: v.pipe(v.string(), v.parseJson(undefined, "The shape can't be read."), shapeSchema),
  }),
  v.object({ act: v.literal("forget"), id: v.pipe(v.string(), v.uuid()) }),
]);

/** Keeps a shape under a name (the same name writes over it), or forgets one. */
export async function actOnShapes(
  { db, now, newId }: Services,
  studioId: string,
  personId: string,
  act: v.InferOutput<typeof shapeActSchema>,
): Promise<void> {
  if (act.act === "forget") await dropShape(db, studioId, personId, act.id);
  else {
    const { name, shape } = act;
    await keepShape(db, studioId, personId, { id: newId(), name, shape, at: new Date(now()) });
  }
}
