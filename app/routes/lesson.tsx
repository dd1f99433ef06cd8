import { data } from "react-router";
import { LessonPage } from "~/features/lesson/lesson-page";
import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { idsOf } from "~/server/boundary";
import { giveAtLesson } from "~/server/cases/give/exercises";
import { lessonPage } from "~/server/cases/week/lesson";
import { roomToday } from "~/server/cases/people/rooms";
import { forgetTyped, typedLesson } from "~/server/cases/week/lesson-typed";
import { keepWeek, readLesson, setWeek } from "~/server/cases/week/set-week";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import type { Route } from "./+types/lesson";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(planWords.lesson.title, loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId, who }) => {
    const it = { studioId, personId, teacherId: who.personId };
    const typed = await typedLesson(services, it);
    const page = await lessonPage(services, studioId, personId);
    return { studioId, typed, self: who.personId === personId, ...page };
  });

const CONFLICT = 409;
const REFUSED = 422;

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId, who }) => {
    const today = await roomToday(services, studioId);
    const form = await formOf(asked.request);
    if (form.get("act") === "exercise") {
      const { id } = idsOf({ id: String(form.get("id")) }, "id");
      return { passages: await giveAtLesson(services, studioId, personId, id) };
    }
    const sent = readLesson(form, today);
    if (!sent.ok) return data(sent.error, { status: REFUSED });
    const { act, week } = sent.value;
    const written = await (act === "keep" ? keepWeek : setWeek)(services, studioId, personId, week);
    if (!written.ok) {
      return data(written.error, { status: written.error.theirs ? CONFLICT : REFUSED });
    }
    await forgetTyped(services, { studioId, personId, teacherId: who.personId });
    if (act === "keep") return { kept: { version: week.version + 1 } };
    return { set: written.value.id };
  });

/** What is being put together on the page is not overwritten by an older answer. */
export const shouldRevalidate = () => false;

export default function Lesson({ loaderData }: Route.ComponentProps) {
  return <LessonPage key={loaderData.person.id} {...loaderData} />;
}
