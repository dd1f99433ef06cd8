import { HowSurePage } from "~/features/progress/how-sure-page";
import { forPassage } from "~/server/access/guard";
import { words } from "~/words";
import { howSureWords } from "~/words/how-sure";
import type { Route } from "./+types/how-sure";

export const meta = () => [{ title: words.title(howSureWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forPassage(asked, "see", ({ studioId, passageId }) => Promise.resolve({ studioId, passageId }));

export default function HowSure({ loaderData }: Route.ComponentProps) {
  const { studioId, passageId } = loaderData;
  const to = `/studio/${studioId}/passages/${passageId}`;
  return <HowSurePage home={{ to, label: words.progress.title }} />;
}
