import { redirect } from "react-router";
import { OpenRoomForm } from "~/features/room/open-room-form";
import { answering, refused } from "~/server/boundary";
import { newRoomSchema, openRoom } from "~/server/cases/open-room";
import { servicesOf } from "~/server/context";
import { readForm } from "~/server/form";
import { words } from "~/words";
import type { Route } from "./+types/open-room";

export const meta = () => [{ title: words.title(words.openRoom.title) }];

export const action = ({ request, context }: Route.ActionArgs) =>
  answering(async () => {
    const form = readForm(await request.formData(), newRoomSchema);
    if (!form.ok) return refused(form.error);
    const { studioId, studentId } = await openRoom(servicesOf(context), form.value);
    throw redirect(`/studio/${studioId}/students/${studentId}/pieces/new`);
  });

export default function OpenRoom({ actionData }: Route.ComponentProps) {
  return <OpenRoomForm refused={actionData} />;
}
