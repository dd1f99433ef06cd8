import { Stand } from "~/features/stand/stand";
import { answering, idsOf } from "~/server/boundary";
import { standPage } from "~/server/cases/stand";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/stand";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.stand.title, loaderData?.plan.blocks[0]?.pieceTitle) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, sessionId } = idsOf(params, "studioId", "sessionId");
    return { studioId, sessionId, ...(await standPage(servicesOf(context), studioId, sessionId)) };
  });

/** The stand keeps its own account; what it wrote must not be overwritten by an older answer. */
export const shouldRevalidate = () => false;

export default function StandRoute({ loaderData }: Route.ComponentProps) {
  return <Stand key={loaderData.sessionId} {...loaderData} />;
}
