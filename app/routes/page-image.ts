import { forStudent } from "~/server/access/guard";
import { idsOf, notFound } from "~/server/boundary";
import { pageImage } from "~/server/cases/piece/paper";
import type { Route } from "./+types/page-image";

const PAGE = /^[1-9]\d?$/;

/** A page of paper of a student's piece, as an image. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    if (!PAGE.test(asked.params.page)) throw notFound("There is no such page.");
    const page = Number(asked.params.page);
    const { media_type, image } = await pageImage(services, { studioId, personId, pieceId }, page);
    return new Response(new Uint8Array(image), { headers: { "Content-Type": media_type } });
  });
