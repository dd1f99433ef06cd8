import { SeveralStudentsPage } from "~/features/student/several-students-page";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import {
  setPreparedWeeks,
  setTimesOfSeveral,
  severalPage,
} from "~/server/cases/people/several-students";
import { words } from "~/words";
import { severalWords } from "~/words/several";
import type { Route } from "./+types/students-several";

export const meta = () => [{ title: words.title(severalWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, ({ services, studioId }) => severalPage(services, studioId));

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const form = await formOf(asked.request);
    if (form.get("act") === "assign") {
      const done = await setPreparedWeeks(services, studioId, form);
      return done.ok ? done.value : refused(done.error);
    }
    const done = await setTimesOfSeveral(services, studioId, form);
    return done.ok ? { saved: done.value } : refused(done.error);
  });

export default function SeveralStudents({ loaderData, actionData, params }: Route.ComponentProps) {
  const refusal = actionData && "errors" in actionData ? actionData : undefined;
  return (
    <SeveralStudentsPage
      {...loaderData}
      studioId={params.studioId}
      refused={refusal}
      saved={actionData && "saved" in actionData ? actionData.saved : undefined}
      assigned={actionData && "assigned" in actionData ? actionData : undefined}
    />
  );
}
