import { readEngravingAsked } from "~/forms/notation";
import { forSession } from "~/server/access/guard";
import { idsOf, notFound } from "~/server/boundary";
import { standNotes } from "~/server/cases/session/stand";
import type { Route } from "./+types/stand-notes";

/** The notes of a passage as a session has them, for a width. */
export const loader = (asked: Route.LoaderArgs) =>
  forSession(asked, "see", async ({ services, studioId, sessionId }) => {
    const { passageId } = idsOf(asked.params, "passageId");
    const read = readEngravingAsked(asked.request.url);
    if (!read.ok) return Response.json({ sentence: read.error }, { status: 400 });
    const music = await standNotes(services, studioId, { sessionId, passageId }, read.value);
    if (!music) throw notFound("This passage has no notes.");
    return Response.json(music);
  });
