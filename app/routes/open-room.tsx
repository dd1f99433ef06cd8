import { OpenRoomForm } from "~/features/room/open-room-form";
import { ClosedDoor } from "~/features/room/closed-door";
import { roomFormSchema } from "~/forms/room";
import { callerOf, goWith } from "~/server/access/door";
import { formOf } from "~/server/body";
import { answering, refused } from "~/server/boundary";
import { openRoom } from "~/server/cases/people/open-room";
import { anyRoom } from "~/server/cases/people/rooms";
import { beginSignIn } from "~/server/cases/people/sign-in";
import { servicesOf } from "~/server/context";
import { readForm, withoutPassword } from "~/server/form";
import { words } from "~/words";
import type { Route } from "./+types/open-room";

export const meta = () => [{ title: words.title(words.openRoom.title) }];

const invitationOf = ({ url }: Request): string =>
  new URL(url).searchParams.get("invitation") ?? "";

/** Whether whoever asks may open a studio here, or why not. */
export const loader = ({ request, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { opening } = callerOf(context).door;
    if (opening.way === "invited" && !(await opening.invites(invitationOf(request)))) {
      return { closed: "not-invited" as const };
    }
    const isLater = opening.way === "first" && (await anyRoom(servicesOf(context)));
    return { closed: isLater ? ("not-first" as const) : undefined };
  });

const STATUS = { "not-invited": 403, "not-first": 403, "too-many": 429 } as const;

export const action = ({ request, context }: Route.ActionArgs) =>
  answering(async () => {
    const { door, address } = callerOf(context);
    const form = readForm(await formOf(request), roomFormSchema);
    if (!form.ok) {
      const { errors, values } = form.error;
      return refused({ errors, values: withoutPassword(values) });
    }
    const { room, teacher, name, instrument, signIn } = form.value;
    const self = form.value.self ? "on" : "";
    const values = { room, teacher, name, instrument, signIn, self };
    const closed = (why: keyof typeof STATUS) =>
      refused({ errors: { form: words.openRoom.closed[why] }, values }, STATUS[why]);
    const admission = await door.opening.admit(address, invitationOf(request));
    if (typeof admission === "string") return closed(admission);
    const services = servicesOf(context);
    const opened = await openRoom(services, form.value, admission).catch(async (error) => {
      await admission.giveBack();
      throw error;
    });
    if (!opened.ok) {
      await admission.giveBack();
      return opened.error === "not-first"
        ? closed("not-first")
        : refused({ errors: opened.error, values });
    }
    const { studioId, studentId, teacherId } = opened.value;
    const begun = await beginSignIn(services, { id: teacherId, studio_id: studioId });
    const home = `/studio/${studioId}`;
    const to =
      studentId === teacherId && !form.value.self
        ? home
        : `${home}/students/${studentId}/pieces/new`;
    throw await goWith(door, begun, to);
  });

export default function OpenRoom({ loaderData, actionData }: Route.ComponentProps) {
  return loaderData.closed ? (
    <ClosedDoor why={loaderData.closed} />
  ) : (
    <OpenRoomForm refused={actionData} />
  );
}
