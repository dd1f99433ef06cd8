import { StudentPage } from "~/features/student/student-page";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { answer, answerSchema } from "~/server/cases/record/questions";
import { studentPage } from "~/server/cases/people/student-pages";
import { forStudent } from "~/server/access/guard";
import { readForm } from "~/server/form";
import { words } from "~/words";
import type { Route } from "./+types/student";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const teaches = who.role === "teacher";
    const looksOnly = who.role === "parent";
    const page = await studentPage(services, studioId, personId, !teaches);
    const self = teaches && who.personId === personId;
    return { studioId, teaches, self, looksOnly, ...page };
  });

/** A question is answered, or closed. */
export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const form = readForm(await formOf(asked.request), answerSchema);
    if (!form.ok) return refused(form.error);
    await answer(services, studioId, personId, form.value);
    return { closed: form.value.id };
  });

export default function Student({ loaderData }: Route.ComponentProps) {
  return <StudentPage {...loaderData} />;
}
