import { redirect } from "react-router";
import { PieceForm } from "~/features/piece/piece-form";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { pieceByHand } from "~/server/cases/piece/add-piece";
import { pieceFromPages } from "~/server/cases/piece/paper";
import { pieceFromFile } from "~/server/cases/piece/scores";
import { studentPage } from "~/server/cases/people/student-pages";
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
    const form = await formOf(asked.request);
    const way = form.has("page") ? pieceFromPages : form.has("file") ? pieceFromFile : pieceByHand;
    const added = await way(services, studioId, personId, form);
    if (!added.ok) return refused(added.error);
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/${added.value}`);
  });

export default function NewPiece({ loaderData, actionData }: Route.ComponentProps) {
  return <PieceForm {...loaderData} refused={actionData} />;
}
