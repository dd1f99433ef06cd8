import { redirect } from "react-router";
import { TakePage } from "~/features/take/take-page";
import { forTake } from "~/server/access/guard";
import { dropTake, takePage } from "~/server/cases/takes";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import type { Route } from "./+types/take";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(listenWords.title, loaderData?.passage.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forTake(asked, "hear", async ({ services, studioId, takeId }) => {
    return { studioId, ...(await takePage(services, studioId, takeId)) };
  });

/** Deletes the take, at once. */
export const action = (asked: Route.ActionArgs) =>
  forTake(asked, "hear", async ({ services, studioId, takeId }) => {
    const { passageId } = await dropTake(services, studioId, takeId);
    return redirect(`/studio/${studioId}/passages/${passageId}`);
  });

export default function TakeRoute({ loaderData }: Route.ComponentProps) {
  return <TakePage key={loaderData.take.id} {...loaderData} />;
}
