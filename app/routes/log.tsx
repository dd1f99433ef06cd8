import { LogPage } from "~/features/log/log-page";
import { logQuerySchema } from "~/forms/log";
import { forStudent } from "~/server/access/guard";
import { logPage } from "~/server/cases/record/log";
import { readQuery } from "~/server/query";
import { words } from "~/words";
import type { Route } from "./+types/log";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.log.title, loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const query = readQuery(asked.request, logQuerySchema);
    return { studioId, ...(await logPage(services, studioId, personId, query)) };
  });

export default function Log({ loaderData }: Route.ComponentProps) {
  return <LogPage {...loaderData} />;
}
