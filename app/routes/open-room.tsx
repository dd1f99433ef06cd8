import { OpenRoomForm } from "~/features/room/open-room-form";
import { roomFormSchema } from "~/forms/room";
import { callerOf, goWith } from "~/server/access/door";
import { answering, refused } from "~/server/boundary";
import { openRoom } from "~/server/cases/open-room";
import { beginSignIn } from "~/server/cases/sign-in";
import { servicesOf } from "~/server/context";
import { readForm, withoutPassword } from "~/server/form";
import { words } from "~/words";
import type { Route } from "./+types/open-room";

export const meta = () => [{ title: words.title(words.openRoom.title) }];

export const action = ({ request, context }: Route.ActionArgs) =>
  answering(async () => {
    const form = readForm(await request.formData(), roomFormSchema);
    if (!form.ok) {
      const { errors, values } = form.error;
      return refused({ errors, values: withoutPassword(values) });
    }
    const services = servicesOf(context);
    const opened = await openRoom(services, form.value);
    if (!opened.ok) {
      const { room, teacher, name, instrument, signIn } = form.value;
      const self = form.value.self ? "on" : "";
      const values = { room, teacher, name, instrument, signIn, self };
      return refused({ errors: opened.error, values });
    }
    const { studioId, studentId, teacherId } = opened.value;
    const begun = await beginSignIn(services, { id: teacherId, studio_id: studioId });
    const room = `/studio/${studioId}`;
    const to =
      studentId === teacherId && !form.value.self
        ? room
        : `${room}/students/${studentId}/pieces/new`;
    throw await goWith(callerOf(context).door, begun, to);
  });

export default function OpenRoom({ actionData }: Route.ComponentProps) {
  return <OpenRoomForm refused={actionData} />;
}
