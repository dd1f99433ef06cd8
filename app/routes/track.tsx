import { TrackPage } from "~/features/track/track-page";
import { forPassage } from "~/server/access/guard";
import { trackPage } from "~/server/cases/piece/track";
import { words } from "~/words";
import { trackWords } from "~/words/track";
import type { Route } from "./+types/track";

export const meta = () => [{ title: words.title(trackWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forPassage(asked, "practise", async ({ services, studioId, personId, passageId }) => ({
    studioId,
    session: false,
    ...(await trackPage(services, studioId, personId, [passageId])),
  }));

export default function Track({ loaderData }: Route.ComponentProps) {
  return <TrackPage {...loaderData} />;
}
