import { WeekPage } from "~/features/my-week/week-page";
import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { addByHand, keepShorthand, undoByHand } from "~/server/cases/week/by-hand";
import { markStands } from "~/server/cases/heart/memory";
import { actOnGoals } from "~/server/cases/week/worded-goals";
import { weekPage } from "~/server/cases/week/student-week";
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

type Act = typeof addByHand;
/** What can be said here besides practice by hand. */
const ACTS: Readonly<Record<string, Act>> = {
  stands: markStands,
  "undo-by-hand": undoByHand,
  shorthand: keepShorthand,
  goal: actOnGoals,
  "goal-reached": actOnGoals,
  "goal-open": actOnGoals,
  "goal-drop": actOnGoals,
};

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const form = await formOf(asked.request);
    const act = ACTS[String(form.get("act"))] ?? addByHand;
    const done = await act(services, studioId, personId, form);
    if (!done.ok) return refused(done.error);
    const written = act === addByHand ? Number(form.get("minutes")) || 0 : 0;
    return { written, id: String(form.get("id") ?? "") };
  });

export default function MyWeek({ loaderData, actionData }: Route.ComponentProps) {
  return <WeekPage {...loaderData} answer={actionData} />;
}
