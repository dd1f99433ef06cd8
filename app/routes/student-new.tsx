import { redirect } from "react-router";
import { StudentForm } from "~/features/student/student-form";
import { answering, idsOf, refused } from "~/server/boundary";
import { addStudent, studentSchema } from "~/server/cases/open-room";
import { roomOf } from "~/server/cases/rooms";
import { servicesOf } from "~/server/context";
import { readForm } from "~/server/form";
import { words } from "~/words";
import type { Route } from "./+types/student-new";

export const meta = () => [{ title: words.title(words.studentForm.title) }];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(() => roomOf(servicesOf(context), idsOf(params, "studioId").studioId));

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId } = idsOf(params, "studioId");
    await roomOf(servicesOf(context), studioId);
    const form = readForm(await request.formData(), studentSchema);
    if (!form.ok) return refused(form.error);
    const personId = await addStudent(servicesOf(context), studioId, form.value);
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/new`);
  });

export default function NewStudent({ loaderData, actionData }: Route.ComponentProps) {
  return <StudentForm studioId={loaderData.id} refused={actionData} />;
}
