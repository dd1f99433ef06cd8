import { redirect } from "react-router";
import { TodayPage } from "~/features/today/today-page";
import { refused } from "~/server/boundary";
import { readToday } from "~/server/cases/read-today";
import { chooseNoVerdict } from "~/server/cases/people";
import { startSession } from "~/server/cases/start-session";
import { todayPage } from "~/server/cases/today";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/today";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.today.title, loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    return { studioId, ...(await todayPage(services, studioId, personId)) };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const today = readToday(await asked.request.formData());
    if (!today.ok) return refused(today.error);
    await chooseNoVerdict(services, studioId, personId, today.value.noVerdict);
    const started = await startSession(services, studioId, personId, today.value.parts);
    if (!started.ok) return refused({ errors: { form: started.error.sentence }, values: {} });
    throw redirect(`/studio/${studioId}/sessions/${started.value.sessionId}/stand`);
  });

export default function Today({ loaderData, actionData }: Route.ComponentProps) {
  return <TodayPage {...loaderData} refused={actionData} />;
}
