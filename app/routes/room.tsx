import { RoomPage } from "~/features/records/room-page";
import { forTeacher } from "~/server/access/guard";
import { isEmptyRoom } from "~/server/cases/rooms";
import { words } from "~/words";
import { recordsWords } from "~/words/records";
import type { Route } from "./+types/room";

export const meta = () => [{ title: words.title(recordsWords.room.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => ({
    studioId,
    empty: await isEmptyRoom(services, studioId),
  }));

export default function Room({ loaderData }: Route.ComponentProps) {
  return <RoomPage {...loaderData} />;
}
