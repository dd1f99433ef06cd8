import { redirect } from "react-router";
import { TimesPage } from "~/features/times/times-page";
import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { chooseTimes, timesPage } from "~/server/cases/week/times";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import type { Route } from "./+types/times";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(planWords.times.title(loaderData?.person.name ?? "")) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId, who }) => {
    const teaches = who.role === "teacher";
    return { studioId, teaches, ...(await timesPage(services, studioId, personId)) };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId, who }) => {
    const form = await formOf(asked.request);
    const teaches = who.role === "teacher";
    const done = await chooseTimes(services, studioId, personId, form, teaches);
    if (!done.ok) return refused(done.error);
    throw redirect(`/studio/${studioId}/students/${personId}/week`);
  });

export default function Times({ loaderData, actionData }: Route.ComponentProps) {
  return <TimesPage {...loaderData} refused={actionData} />;
}
