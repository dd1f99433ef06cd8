import { ByHeartPage } from "~/features/by-heart/by-heart-page";
import { formOf } from "~/server/body";
import { idsOf, refused } from "~/server/boundary";
import { actOnHeart, byHeartPage } from "~/server/cases/heart/by-heart";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import { heartWords } from "~/words/by-heart";
import type { Route } from "./+types/by-heart";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(heartWords.title, loaderData?.piece.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const page = await byHeartPage(services, { studioId, personId, pieceId });
    return { studioId, role: who.role, ...page };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const of = { studioId, personId, ...idsOf(asked.params, "pieceId") };
    const done = await actOnHeart(services, of, await formOf(asked.request));
    return done.ok ? undefined : refused(done.error);
  });

export default function ByHeart({ loaderData, actionData }: Route.ComponentProps) {
  return <ByHeartPage {...loaderData} refused={actionData} />;
}
