import { told } from "~/features/records/told";
import { forStudent } from "~/server/access/guard";
import { idsOf, notFound } from "~/server/boundary";
import { isPieceFormat, pieceAsFile } from "~/server/cases/room/student-out";
import type { Route } from "./+types/piece-file";

/** A piece with what is written on it, in an open format. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const { format } = asked.params;
    if (!isPieceFormat(format)) throw notFound("Pieces are had as musicxml or json.");
    return pieceAsFile(services, told, studioId, personId, pieceId, format);
  });
