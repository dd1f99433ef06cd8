import { redirect } from "react-router";
import { TakePage } from "~/features/take/take-page";
import { forTake } from "~/server/access/guard";
import { refused } from "~/server/boundary";
import { dropTake, dropTakesOf, sayHeard, takePage } from "~/server/cases/takes";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import type { Route } from "./+types/take";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(listenWords.title, loaderData?.passage.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forTake(asked, "hear", async ({ services, studioId, takeId, who }) => {
    return { studioId, ...(await takePage(services, studioId, takeId, who.personId)) };
  });

/** Says what was heard, or deletes the take, or all of its student's, at once. */
export const action = (asked: Route.ActionArgs) =>
  forTake(asked, "hear", async ({ services, studioId, takeId, personId, who }) => {
    const form = await asked.request.formData();
    const what = form.get("what");
    if (what === "heard") {
      const said = await sayHeard(services, studioId, { takeId, listener: who.personId }, form);
      return said.ok ? undefined : refused({ errors: { flawed: said.error }, values: {} });
    }
    const { passageId } = await dropTake(services, studioId, takeId);
    if (what === "all") await dropTakesOf(services, studioId, personId);
    return redirect(`/studio/${studioId}/passages/${passageId}`);
  });

export default function TakeRoute({ loaderData }: Route.ComponentProps) {
  return <TakePage key={loaderData.take.id} {...loaderData} />;
}
