import { forTake } from "~/server/access/guard";
import { idsOf, notFound } from "~/server/boundary";
import { spokenSound } from "~/server/cases/take/hand-ins";
import { wholeSound } from "~/server/takes/whole-sound";
import type { Route } from "./+types/spoken-comment";

/** What a teacher said aloud of a take, for whoever may hear the take. */
export const loader = (asked: Route.LoaderArgs) =>
  forTake(asked, "listen", async ({ services, studioId, takeId }) => {
    const { commentId } = idsOf(asked.params, "commentId");
    const sound = await spokenSound(services, studioId, takeId, commentId);
    if (!sound) throw notFound("There is no such comment.");
    return wholeSound(sound);
  });
