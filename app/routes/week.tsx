import { WeekBoard } from "~/features/week/week-board";
import { answering, idsOf } from "~/server/boundary";
import { weekOf } from "~/server/cases/week";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/week";

export const meta = () => [{ title: words.title(words.week.title) }];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId } = idsOf(params, "studioId");
    return { studioId, ...(await weekOf(servicesOf(context), studioId)) };
  });

export default function Week({ loaderData }: Route.ComponentProps) {
  return <WeekBoard {...loaderData} />;
}
