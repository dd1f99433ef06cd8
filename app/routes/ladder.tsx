import { redirect } from "react-router";
import { LadderPage } from "~/features/ladder/ladder-page";
import { answering, idsOf, refused } from "~/server/boundary";
import { readLadder } from "~/server/cases/read-ladder";
import { setLadder } from "~/server/cases/passages";
import { ladderPage } from "~/server/cases/passage-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/ladder";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.ladder.title, loaderData?.piece.title) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, passageId } = idsOf(params, "studioId", "passageId");
    return { studioId, ...(await ladderPage(servicesOf(context), studioId, passageId)) };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId, passageId } = idsOf(params, "studioId", "passageId");
    const { person } = await ladderPage(servicesOf(context), studioId, passageId);
    const ladder = readLadder(await request.formData());
    if (!ladder.ok) return refused(ladder.error);
    await setLadder(servicesOf(context), studioId, passageId, ladder.value);
    throw redirect(`/studio/${studioId}/students/${person.id}/today`);
  });

export default function Ladder({ loaderData, actionData }: Route.ComponentProps) {
  return <LadderPage {...loaderData} refused={actionData} />;
}
