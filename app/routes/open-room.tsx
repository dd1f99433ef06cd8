import { OpenRoomForm } from "~/features/room/open-room-form";
import { callerOf, goWith } from "~/server/access/door";
import { answering, refused } from "~/server/boundary";
import { newRoomSchema, openRoom } from "~/server/cases/open-room";
import { beginSignIn } from "~/server/cases/sign-in";
import { servicesOf } from "~/server/context";
import { readForm } from "~/server/form";
import { words } from "~/words";
import type { Route } from "./+types/open-room";

export const meta = () => [{ title: words.title(words.openRoom.title) }];

export const action = ({ request, context }: Route.ActionArgs) =>
  answering(async () => {
    const form = readForm(await request.formData(), newRoomSchema);
    if (!form.ok) return refused(form.error);
    const services = servicesOf(context);
    const opened = await openRoom(services, form.value);
    if (!opened.ok) {
      const { password: _, ...values } = form.value;
      return refused({
        errors: opened.error,
        values: { ...values, self: values.self ? "on" : "" },
      });
    }
    const { studioId, studentId, teacherId } = opened.value;
    const signIn = await beginSignIn(services, { id: teacherId, studio_id: studioId });
    const to = `/studio/${studioId}/students/${studentId}/pieces/new`;
    throw await goWith(callerOf(context).door, signIn, to);
  });

export default function OpenRoom({ actionData }: Route.ComponentProps) {
  return <OpenRoomForm refused={actionData} />;
}
