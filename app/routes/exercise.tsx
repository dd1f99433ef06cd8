import { redirect } from "react-router";
import { ExercisePage } from "~/features/exercise/exercise-page";
import { formOf } from "~/server/body";
import { idsOf, refused } from "~/server/boundary";
import { drawSchema, exercisePage } from "~/server/cases/give/exercise-page";
import { giveExercise } from "~/server/cases/give/exercises";
import { pieceFromMade } from "~/server/cases/piece/made";
import { forStudent } from "~/server/access/guard";
import { readQuery } from "~/server/query";
import { words } from "~/words";
import { exerciseWords } from "~/words/exercise";
import type { Route } from "./+types/exercise";

export const meta = () => [{ title: words.title(exerciseWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => ({
    studioId,
    ...(await exercisePage(services, studioId, personId, readQuery(asked.request, drawSchema))),
  }));

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const form = await formOf(asked.request);
    if (form.get("intent") === "give") {
      const { id } = idsOf({ id: String(form.get("id")) }, "id");
      await giveExercise(services, studioId, id, [personId]);
      throw redirect(`/studio/${studioId}/students/${personId}`);
    }
    const added = await pieceFromMade(services, studioId, personId, form);
    if (!added.ok) return refused(added.error);
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/${added.value}`);
  });

export default function Exercise({ loaderData, actionData }: Route.ComponentProps) {
  return <ExercisePage {...loaderData} refused={actionData} />;
}
