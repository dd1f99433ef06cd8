import { redirect } from "react-router";
import { PieceForm } from "~/features/piece/piece-form";
import { answering, idsOf, refused } from "~/server/boundary";
import { changePiece } from "~/server/cases/add-piece";
import { piecePage } from "~/server/cases/passage-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/piece-edit";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.pieceForm.editTitle, loaderData?.piece.title) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, personId, pieceId } = idsOf(params, "studioId", "personId", "pieceId");
    const page = await piecePage(servicesOf(context), studioId, personId, pieceId);
    return { studioId, person: page.person, piece: page.piece };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId, personId, pieceId } = idsOf(params, "studioId", "personId", "pieceId");
    const form = await request.formData();
    const done = await changePiece(servicesOf(context), studioId, pieceId, form);
    if (!done.ok) return refused(done.error);
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/${pieceId}`);
  });

export default function EditPiece({ loaderData, actionData }: Route.ComponentProps) {
  return <PieceForm {...loaderData} refused={actionData} />;
}
