import { RoomPage } from "~/features/records/room-page";
import { forTeacher } from "~/server/access/guard";
import { refused } from "~/server/boundary";
import { isEmptyRoom } from "~/server/cases/rooms";
import { keepTakesFor, takesDaysOf } from "~/server/cases/takes";
import { words } from "~/words";
import { recordsWords } from "~/words/records";
import type { Route } from "./+types/room";

export const meta = () => [{ title: words.title(recordsWords.room.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => ({
    studioId,
    empty: await isEmptyRoom(services, studioId),
    takesDays: await takesDaysOf(services, studioId),
  }));

/** How many days takes are kept. */
export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const done = await keepTakesFor(services, studioId, await asked.request.formData());
    return done.ok ? { kept: true as const } : refused(done.error);
  });

export default function Room({ loaderData, actionData }: Route.ComponentProps) {
  const refusal = actionData && "errors" in actionData ? actionData : undefined;
  const kept = actionData !== undefined && "kept" in actionData;
  return <RoomPage {...loaderData} refused={refusal} kept={kept} />;
}
