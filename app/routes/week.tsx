import { WeekBoard } from "~/features/week/week-board";
import { weekOf } from "~/server/cases/week";
import { forTeacher } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/week";

export const meta = () => [{ title: words.title(words.week.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    return { studioId, ...(await weekOf(services, studioId)) };
  });

export default function Week({ loaderData }: Route.ComponentProps) {
  return <WeekBoard {...loaderData} />;
}
