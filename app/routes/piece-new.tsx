import { redirect } from "react-router";
import { PieceForm } from "~/features/piece/piece-form";
import { answering, idsOf, refused } from "~/server/boundary";
import { addPiece, readPieceForm } from "~/server/cases/add-piece";
import { studentPage } from "~/server/cases/student-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/piece-new";

export const meta = () => [{ title: words.title(words.pieceForm.title) }];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, personId } = idsOf(params, "studioId", "personId");
    const { person } = await studentPage(servicesOf(context), studioId, personId);
    return { studioId, person };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId, personId } = idsOf(params, "studioId", "personId");
    const form = readPieceForm(await request.formData());
    if (!form.ok) return refused(form.error);
    const pieceId = await addPiece(servicesOf(context), studioId, personId, form.value);
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/${pieceId}`);
  });

export default function NewPiece({ loaderData, actionData }: Route.ComponentProps) {
  return <PieceForm {...loaderData} refused={actionData} />;
}
