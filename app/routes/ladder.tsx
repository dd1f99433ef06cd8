import { redirect } from "react-router";
import { WorkshopPage } from "~/features/workshop/workshop-page";
import { answering, idsOf, refused } from "~/server/boundary";
import { passageOf, setLadder } from "~/server/cases/passages";
import { readLadder, workshopPage } from "~/server/cases/workshop";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/ladder";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.ladder.title, loaderData?.piece.title) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, passageId } = idsOf(params, "studioId", "passageId");
    return { studioId, ...(await workshopPage(servicesOf(context), studioId, passageId)) };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId, passageId } = idsOf(params, "studioId", "passageId");
    const passage = await passageOf(servicesOf(context), studioId, passageId);
    const ladder = readLadder(await request.formData(), passage);
    if (!ladder.ok) return refused(ladder.error);
    await setLadder(servicesOf(context), studioId, passageId, ladder.value);
    throw redirect(`/studio/${studioId}/students/${passage.personId}/today`);
  });

export default function Ladder({ loaderData, actionData }: Route.ComponentProps) {
  return <WorkshopPage {...loaderData} refused={actionData} />;
}
