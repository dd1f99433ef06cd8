import { readEngravingAsked } from "~/forms/notation";
import { forStudent } from "~/server/access/guard";
import { idsOf, notFound } from "~/server/boundary";
import { engraved } from "~/server/cases/piece/scores";
import type { Route } from "./+types/notation";

/** The notes of a piece as they are drawn, for a width. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const read = readEngravingAsked(asked.request.url);
    if (!read.ok) return Response.json({ sentence: read.error }, { status: 400 });
    const music = await engraved(services, studioId, personId, pieceId, read.value);
    if (!music) throw notFound("This piece has no notes.");
    return Response.json(music);
  });
