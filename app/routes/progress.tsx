import { ProgressPage } from "~/features/progress/progress-page";
import { formOf } from "~/server/body";
import { progressPage } from "~/server/cases/piece/passage-pages";
import { forPassage } from "~/server/access/guard";
import { refused } from "~/server/boundary";
import { setTarget } from "~/server/cases/piece/set-target";
import { words } from "~/words";
import type { Route } from "./+types/progress";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.progress.title, loaderData?.piece.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forPassage(asked, "see", async ({ services, studioId, passageId, who }) => {
    const teaches = who.role === "teacher";
    const looksOnly = who.role === "parent";
    const withPlays = new URL(asked.request.url).searchParams.has("plays");
    const page = await progressPage(services, studioId, passageId, withPlays);
    // Takes are heard by the student and the teacher.
    return { studioId, teaches, looksOnly, ...page, takes: looksOnly ? [] : page.takes };
  });

export const action = (asked: Route.ActionArgs) =>
  forPassage(asked, "teach", async ({ services, studioId, passageId }) => {
    const set = await setTarget(services, studioId, passageId, await formOf(asked.request));
    return set.ok ? { changed: set.value } : refused(set.error);
  });

export default function Progress({ loaderData, actionData }: Route.ComponentProps) {
  const changed = actionData && "changed" in actionData ? actionData.changed : undefined;
  return <ProgressPage {...loaderData} changed={changed} />;
}
