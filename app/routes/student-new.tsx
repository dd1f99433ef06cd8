import { redirect } from "react-router";
import { StudentForm } from "~/features/student/student-form";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { addStudent } from "~/server/cases/people/open-room";
import { roomOf } from "~/server/cases/people/rooms";
import { studentSchema } from "~/forms/names";
import { forTeacher } from "~/server/access/guard";
import { readForm } from "~/server/form";
import { words } from "~/words";
import type { Route } from "./+types/student-new";

export const meta = () => [{ title: words.title(words.studentForm.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, ({ services, studioId }) => roomOf(services, studioId));

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const form = readForm(await formOf(asked.request), studentSchema);
    if (!form.ok) return refused(form.error);
    const personId = await addStudent(services, studioId, form.value);
    throw redirect(`/studio/${studioId}/students/${personId}/pieces/new`);
  });

export default function NewStudent({ loaderData, actionData }: Route.ComponentProps) {
  return <StudentForm studioId={loaderData.id} refused={actionData} />;
}
