import { redirect } from "react-router";
import { WorkshopPage } from "~/features/workshop/workshop-page";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { passageOf, setLadder } from "~/server/cases/piece/passages";
import { readLadder, workshopPage } from "~/server/cases/piece/workshop";
import { forPassage } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/ladder";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.ladder.title, loaderData?.piece.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forPassage(asked, "teach", async ({ services, studioId, passageId }) => {
    // Bars cut where most flaws fell are to be joined to their neighbours again.
    const joins = new URL(asked.request.url).searchParams.get("join") === "1";
    return { studioId, joins, ...(await workshopPage(services, studioId, passageId)) };
  });

export const action = (asked: Route.ActionArgs) =>
  forPassage(asked, "teach", async ({ services, studioId, passageId }) => {
    const passage = await passageOf(services, studioId, passageId);
    const ladder = readLadder(await formOf(asked.request), passage);
    if (!ladder.ok) return refused(ladder.error);
    await setLadder(services, studioId, passageId, ladder.value);
    throw redirect(`/studio/${studioId}/students/${passage.personId}/today`);
  });

export default function Ladder({ loaderData, actionData }: Route.ComponentProps) {
  return <WorkshopPage {...loaderData} refused={actionData} />;
}
