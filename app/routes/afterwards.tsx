import { redirect } from "react-router";
import { AfterwardsPage } from "~/features/afterwards/afterwards-page";
import { answering, idsOf, refused } from "~/server/boundary";
import { addNote } from "~/server/cases/add-note";
import { afterwardsPage } from "~/server/cases/afterwards";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/afterwards";

export const meta = () => [{ title: words.title(words.afterwards.title) }];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, sessionId } = idsOf(params, "studioId", "sessionId");
    const page = await afterwardsPage(servicesOf(context), studioId, sessionId);
    // Nothing has arrived from the stand yet: that is where this session is.
    if (!page) throw redirect(`/studio/${studioId}/sessions/${sessionId}/stand`);
    return { studioId, ...page };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId, sessionId } = idsOf(params, "studioId", "sessionId");
    const form = await request.formData();
    const done = await addNote(servicesOf(context), studioId, sessionId, form);
    return done.ok ? undefined : refused(done.error);
  });

export default function Afterwards({ loaderData, actionData }: Route.ComponentProps) {
  return <AfterwardsPage {...loaderData} refused={actionData} />;
}
