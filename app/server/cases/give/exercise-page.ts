import * as v from "valibot";
import { lastMade, notDoneLately, studentById, techniquesOf } from "~/db/queries";
import type { Services } from "../../services";

/** Which exercises of the library are drawn. */
export const drawSchema = v.object({
  technique: v.optional(v.pipe(v.string(), v.maxLength(40)), ""),
  find: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(80)), ""),
  draw: v.optional(
    v.pipe(v.string(), v.regex(/^\d{1,4}$/, "That is no draw."), v.transform(Number)),
    "0",
  ),
});

/** Where an exercise is made for a student, or drawn from the library. */
export async function exercisePage(
  { db }: Services,
  studioId: string,
  personId: string,
  draw: v.InferOutput<typeof drawSchema>,
) {
  const { id, name, instrument } = await studentById(db, studioId, personId);
  const [made, techniques, drawn] = await Promise.all([
    lastMade(db, studioId, personId),
    techniquesOf(db, studioId),
    notDoneLately(db, studioId, personId, draw),
  ]);
  // A compass that was set once for a student is theirs.
  const compass = made && {
    lowest: made.recipe.lowest,
    highest: made.recipe.highest,
    clef: made.recipe.clef,
    bothHands: made.recipe.bothHands,
    reads: made.recipe.reads,
  };
  return { person: { id, name, instrument }, compass, draw, techniques, drawn };
}
