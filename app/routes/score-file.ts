import { forStudent } from "~/server/access/guard";
import { asItCame } from "~/server/as-it-came";
import { idsOf } from "~/server/boundary";
import { originalFile } from "~/server/cases/piece/scores";
import type { Route } from "./+types/score-file";

/** The file of a piece's notes as it came. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    return asItCame(await originalFile(services, studioId, pieceId));
  });
