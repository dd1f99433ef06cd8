import { ProgressPage } from "~/features/progress/progress-page";
import { answering, idsOf } from "~/server/boundary";
import { progressPage } from "~/server/cases/passage-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/progress";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.progress.title, loaderData?.piece.title) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, passageId } = idsOf(params, "studioId", "passageId");
    return { studioId, ...(await progressPage(servicesOf(context), studioId, passageId)) };
  });

export default function Progress({ loaderData }: Route.ComponentProps) {
  return <ProgressPage {...loaderData} />;
}
