import { WeekBoard } from "~/features/board/board";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { chooseConcert } from "~/server/cases/people/concert";
import { waitingPage } from "~/server/cases/take/hand-ins";
import { weekOf } from "~/server/cases/week/board";
import { forTeacher } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/board";

export const meta = () => [{ title: words.title(words.week.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId, who }) => {
    const { waiting } = await waitingPage(services, studioId);
    const board = await weekOf(services, studioId);
    const alone = board.lines.every(({ id }) => id === who.personId);
    return { studioId, alone, toHear: waiting.length, ...board };
  });

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const done = await chooseConcert(services, studioId, await formOf(asked.request));
    return done.ok ? undefined : refused(done.error);
  });

export default function Week({ loaderData, actionData }: Route.ComponentProps) {
  return <WeekBoard {...loaderData} refused={actionData} />;
}
