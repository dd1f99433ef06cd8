import { forStudent } from "~/server/access/guard";
import { idsOf, notFound } from "~/server/boundary";
import { demonstrationSound } from "~/server/cases/take/demonstrations";
import { wholeSound } from "~/server/takes/whole-sound";
import type { Route } from "./+types/demonstration-sound";

/** The sound of a demonstration, whole: it is stretched before it is heard. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const { demonstrationId } = idsOf(asked.params, "demonstrationId");
    const sound = await demonstrationSound(services, { studioId, personId }, demonstrationId);
    if (!sound) throw notFound("The sound of this demonstration is missing.");
    return wholeSound(sound);
  });
