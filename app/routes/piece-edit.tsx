import { redirect } from "react-router";
import { PieceForm } from "~/features/piece/piece-form";
import { formOf } from "~/server/body";
import { idsOf, refused } from "~/server/boundary";
import { changePiece } from "~/server/cases/piece/add-piece";
import { piecePage } from "~/server/cases/piece/passage-pages";
import { measurePassages } from "~/server/cases/piece/trouble";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/piece-edit";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.pieceForm.editTitle, loaderData?.piece.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const page = await piecePage(services, studioId, personId, pieceId);
    return { studioId, person: page.person, piece: page.piece };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const form = await formOf(asked.request);
    const done = await changePiece(services, studioId, pieceId, form);
    if (!done.ok) return refused(done.error);
    await measurePassages(services, { studioId, personId, pieceId });
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/${pieceId}`);
  });

export default function EditPiece({ loaderData, actionData }: Route.ComponentProps) {
  return <PieceForm {...loaderData} refused={actionData} />;
}
