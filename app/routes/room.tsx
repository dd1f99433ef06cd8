import { RoomPage } from "~/features/records/room-page";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { rateBy, ratingScale } from "~/server/cases/take/rating-scale";
import { isEmptyRoom } from "~/server/cases/people/rooms";
import { keepTakesFor, soundBytes, takesKeptIn } from "~/server/cases/take/takes";
import { backupsOf } from "~/server/context";
import { words } from "~/words";
import { recordsWords } from "~/words/records";
import type { Route } from "./+types/room";

export const meta = () => [{ title: words.title(recordsWords.room.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => ({
    studioId,
    empty: await isEmptyRoom(services, studioId),
    takes: await takesKeptIn(services, studioId),
    scale: await ratingScale(services, studioId),
    soundBytes: await soundBytes(services, studioId),
    backups: await toldOfBackups(asked.context),
  }));

/** What the page tells of the server's backups. */
async function toldOfBackups(context: Route.LoaderArgs["context"]) {
  const backups = backupsOf(context);
  return { hoursOld: await backups.hoursOld(), keep: backups.keep, everyHours: backups.everyHours };
}

/** How many days takes are kept, or how what is handed in is rated. */
export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const form = await formOf(asked.request);
    if (form.get("what") === "backup") {
      await backupsOf(asked.context).take();
      return { kept: "backup" as const };
    }
    const rates = form.get("what") === "ratings";
    const done = await (rates ? rateBy : keepTakesFor)(services, studioId, form);
    if (!done.ok) return refused(done.error);
    return { kept: rates ? ("ratings" as const) : ("days" as const) };
  });

export default function Room({ loaderData, actionData }: Route.ComponentProps) {
  const refusal = actionData && "errors" in actionData ? actionData : undefined;
  const kept = actionData && "kept" in actionData ? actionData.kept : undefined;
  return <RoomPage {...loaderData} refused={refusal} kept={kept} />;
}
