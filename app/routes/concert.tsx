import { ConcertPage } from "~/features/progress/concert-page";
import { forStudent } from "~/server/access/guard";
import { concertPage } from "~/server/cases/record/outlook";
import { words } from "~/words";
import { outlookWords } from "~/words/outlook";
import type { Route } from "./+types/concert";

export const meta = () => [{ title: words.title(outlookWords.concert.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => ({
    studioId,
    ...(await concertPage(services, studioId, personId)),
  }));

export default function Concert({ loaderData }: Route.ComponentProps) {
  return <ConcertPage {...loaderData} />;
}
