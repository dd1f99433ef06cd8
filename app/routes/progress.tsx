import { ProgressPage } from "~/features/progress/progress-page";
import { progressPage } from "~/server/cases/passage-pages";
import { forPassage } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/progress";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.progress.title, loaderData?.piece.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forPassage(asked, "see", async ({ services, studioId, passageId, who }) => {
    const teaches = who.role === "teacher";
    const looksOnly = who.role === "parent";
    return { studioId, teaches, looksOnly, ...(await progressPage(services, studioId, passageId)) };
  });

export default function Progress({ loaderData }: Route.ComponentProps) {
  return <ProgressPage {...loaderData} />;
}
