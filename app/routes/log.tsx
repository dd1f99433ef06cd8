import { LogPage } from "~/features/progress/log-page";
import { logPage } from "~/server/cases/student-pages";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/log";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.log.title, loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    return { studioId, ...(await logPage(services, studioId, personId)) };
  });

export default function Log({ loaderData }: Route.ComponentProps) {
  return <LogPage {...loaderData} />;
}
