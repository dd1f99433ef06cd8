import { data } from "react-router";
import { told } from "~/features/records/told";
import { forTeacher } from "~/server/access/guard";
import { withReceived } from "~/server/archive/received";
import { wantsRecordings, zipAnswer } from "~/server/archive/zip-answer";
import { insistOnMethod } from "~/server/body";
import { readRoomIn } from "~/server/cases/room/room-in";
import { roomAsZip } from "~/server/cases/room/room-out";
import { roomOf } from "~/server/cases/people/rooms";
import type { Route } from "./+types/room-zip";

/** The whole room, taken along. */
export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const withSounds = wantsRecordings(asked.request);
    const { name } = await roomOf(services, studioId);
    return zipAnswer(name, roomAsZip(services, told, studioId, withSounds));
  });

/** A room that was taken along is read into this one, which is empty. */
export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId, who }) => {
    insistOnMethod(asked.request, "POST");
    const reader = { id: who.personId, name: who.name };
    const read = await withReceived(asked.request, (file) =>
      readRoomIn(services, studioId, reader, file),
    );
    return read.ok ? data(read.value) : data({ sentence: read.error }, { status: 422 });
  });
