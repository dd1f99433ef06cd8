import { forStudent } from "~/server/access/guard";
import { idsOf, notFound } from "~/server/boundary";
import { paperFile } from "~/server/cases/piece/paper";
import { asItCame } from "~/server/as-it-came";
import type { Route } from "./+types/paper-file";

const NUMBER = /^[1-9]\d?$/;

/** A file that the pages of a piece came from. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    if (!NUMBER.test(asked.params.number)) throw notFound("There is no such file.");
    return asItCame(await paperFile(services, studioId, pieceId, Number(asked.params.number)));
  });
