import { WeekPage } from "~/features/plan/week-page";
import { forStudent } from "~/server/access/guard";
import { refused } from "~/server/boundary";
import { addByHand } from "~/server/cases/by-hand";
import { markStands } from "~/server/cases/memory";
import { weekPage } from "~/server/cases/student-week";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import type { Route } from "./+types/my-week";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(planWords.week.title, loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const page = await weekPage(services, studioId, personId);
    return { studioId, teaches: who.role === "teacher", looksOnly: who.role === "parent", ...page };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const form = await asked.request.formData();
    const act = form.get("act") === "stands" ? markStands : addByHand;
    const done = await act(services, studioId, personId, form);
    return done.ok ? { written: Number(form.get("minutes")) || 0 } : refused(done.error);
  });

export default function MyWeek({ loaderData, actionData }: Route.ComponentProps) {
  return <WeekPage {...loaderData} answer={actionData} />;
}
