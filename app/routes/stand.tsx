import { Stand } from "~/features/stand/stand";
import { standPage } from "~/server/cases/session/stand";
import { forSession } from "~/server/access/guard";
import { words } from "~/words/stand-words";
import type { Route } from "./+types/stand";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.stand.title, loaderData?.plan.blocks[0]?.pieceTitle) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forSession(asked, "practise", async ({ services, studioId, sessionId }) => {
    return { studioId, sessionId, ...(await standPage(services, studioId, sessionId)) };
  });

/** The stand keeps its own account; what it wrote must not be overwritten by an older answer. */
export const shouldRevalidate = () => false;

export default function StandRoute({ loaderData }: Route.ComponentProps) {
  return <Stand key={loaderData.sessionId} {...loaderData} />;
}
