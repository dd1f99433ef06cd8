import { LogPage } from "~/features/progress/log-page";
import { answering, idsOf } from "~/server/boundary";
import { logPage } from "~/server/cases/student-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/log";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.log.title, loaderData?.person.name) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, personId } = idsOf(params, "studioId", "personId");
    return { studioId, ...(await logPage(servicesOf(context), studioId, personId)) };
  });

export default function Log({ loaderData }: Route.ComponentProps) {
  return <LogPage {...loaderData} />;
}
