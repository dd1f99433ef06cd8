import { redirect } from "react-router";
import { TodayPage } from "~/features/today/today-page";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { actOnToday } from "~/server/cases/week/act-on-today";
import { readToday } from "~/server/cases/week/read-today";
import { chooseNoVerdict } from "~/server/cases/people/people";
import { startSession } from "~/server/cases/session/start-session";
import { todayPage } from "~/server/cases/week/today";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/today";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.today.title, loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const teaches = who.role === "teacher";
    const page = await todayPage(services, studioId, personId);
    // Who looks on changes nothing.
    const looksOnly = who.role === "parent";
    return {
      studioId,
      teaches,
      looksOnly,
      ...page,
      ...(looksOnly ? { advice: [], forToday: [] } : {}),
    };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const form = await formOf(asked.request);
    if (form.has("act")) {
      const done = await actOnToday(services, studioId, personId, form);
      return done.ok ? { done: done.value.act } : refused(done.error);
    }
    const today = readToday(form);
    if (!today.ok) return refused(today.error);
    const { parts, noVerdict, feeling } = today.value;
    if (noVerdict) await chooseNoVerdict(services, studioId, personId, noVerdict);
    const started = await startSession(services, studioId, personId, parts, feeling);
    if (!started.ok) return refused({ errors: { form: started.error.sentence }, values: {} });
    throw redirect(`/studio/${studioId}/sessions/${started.value.sessionId}/stand`);
  });

export default function Today({ loaderData, actionData }: Route.ComponentProps) {
  const refused = actionData && "errors" in actionData ? actionData : undefined;
  return <TodayPage {...loaderData} refused={refused} />;
}
