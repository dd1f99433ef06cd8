import { forStudent } from "~/server/access/guard";
import { idsOf } from "~/server/boundary";
import { originalFile } from "~/server/cases/scores";
import type { Route } from "./+types/score-file";

/** The file of a piece's notes as it came. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const { file_name: name, original } = await originalFile(services, studioId, pieceId);
    return new Response(new Uint8Array(original), {
      headers: {
        "Content-Type": "application/octet-stream",
        "Content-Disposition": `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
      },
    });
  });
