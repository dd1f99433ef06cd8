import { redirect } from "react-router";
import { PiecePage } from "~/features/piece/piece-page";
import { answering, idsOf, refused } from "~/server/boundary";
import { actOnPiece } from "~/server/cases/act-on-piece";
import { piecePage } from "~/server/cases/passage-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/piece";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(loaderData?.piece.title) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, personId, pieceId } = idsOf(params, "studioId", "personId", "pieceId");
    return { studioId, ...(await piecePage(servicesOf(context), studioId, personId, pieceId)) };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const ids = idsOf(params, "studioId", "personId", "pieceId");
    const done = await actOnPiece(servicesOf(context), ids, await request.formData());
    if (!done.ok) return refused(done.error);
    if (done.value) throw redirect(`/studio/${ids.studioId}/passages/${done.value}/ladder`);
    return undefined;
  });

export default function Piece({ loaderData, actionData }: Route.ComponentProps) {
  return <PiecePage {...loaderData} refused={actionData} />;
}
