import { redirect } from "react-router";
import { PieceForm } from "~/features/piece/piece-form";
import { refused } from "~/server/boundary";
import { addPiece, readPieceForm } from "~/server/cases/add-piece";
import { studentPage } from "~/server/cases/student-pages";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/piece-new";

export const meta = () => [{ title: words.title(words.pieceForm.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const { person } = await studentPage(services, studioId, personId);
    return { studioId, person };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const form = readPieceForm(await asked.request.formData());
    if (!form.ok) return refused(form.error);
    const pieceId = await addPiece(services, studioId, personId, form.value);
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/${pieceId}`);
  });

export default function NewPiece({ loaderData, actionData }: Route.ComponentProps) {
  return <PieceForm {...loaderData} refused={actionData} />;
}
