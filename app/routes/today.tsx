import { redirect } from "react-router";
import { TodayPage } from "~/features/today/today-page";
import { answering, idsOf, refused } from "~/server/boundary";
import { readToday } from "~/server/cases/read-today";
import { chooseNoVerdict } from "~/server/cases/people";
import { startSession } from "~/server/cases/start-session";
import { todayPage } from "~/server/cases/student-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/today";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(words.today.title, loaderData?.person.name) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, personId } = idsOf(params, "studioId", "personId");
    return { studioId, ...(await todayPage(servicesOf(context), studioId, personId)) };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId, personId } = idsOf(params, "studioId", "personId");
    const services = servicesOf(context);
    const today = readToday(await request.formData());
    if (!today.ok) return refused(today.error);
    await chooseNoVerdict(services, studioId, personId, today.value.noVerdict);
    const started = await startSession(services, studioId, personId, today.value.passages);
    if (!started.ok) return refused({ errors: { form: started.error.sentence }, values: {} });
    throw redirect(`/studio/${studioId}/sessions/${started.value.sessionId}/stand`);
  });

export default function Today({ loaderData, actionData }: Route.ComponentProps) {
  return <TodayPage {...loaderData} refused={actionData} />;
}
