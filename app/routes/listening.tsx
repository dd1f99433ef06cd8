import { WaitingPage } from "~/features/take/waiting-page";
import { forTeacher } from "~/server/access/guard";
import { waitingPage } from "~/server/cases/take/hand-ins";
import { waitingQuerySchema } from "~/forms/waiting";
import { readQuery } from "~/server/query";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import type { Route } from "./+types/listening";

export const meta = () => [{ title: words.title(listenWords.handIn.desk) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const { order } = readQuery(asked.request, waitingQuerySchema);
    return { studioId, ...(await waitingPage(services, studioId, order)) };
  });

export default function Listening({ loaderData }: Route.ComponentProps) {
  return <WaitingPage {...loaderData} />;
}
