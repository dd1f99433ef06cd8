import { redirect } from "react-router";
import { AfterwardsPage } from "~/features/afterwards/afterwards-page";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { sayAfterwards } from "~/server/cases/session/say-afterwards";
import { adviceOf } from "~/server/cases/record/advice";
import { afterwardsPage } from "~/server/cases/session/afterwards";
import { forSession } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/afterwards";

export const meta = () => [{ title: words.title(words.afterwardsTitle) }];

export const loader = (asked: Route.LoaderArgs) =>
  forSession(asked, "see", async ({ services, studioId, sessionId, who }) => {
    const page = await afterwardsPage(services, studioId, sessionId);
    // Nothing has arrived from the stand yet: that is where this session is.
    if (!page) throw redirect(`/studio/${studioId}/sessions/${sessionId}/stand`);
    const looksOnly = who.role === "parent";
    // What is advised goes by today: with an older session it would say what was not known then.
    const advises = page.isToday && !looksOnly;
    const teaches = who.role === "teacher";
    const { advice, forToday } = advises
      ? await adviceOf(services, studioId, page.person.id, { forStudent: !teaches })
      : { advice: [], forToday: [] };
    // Takes are heard by the student and the teacher.
    const takes = looksOnly ? [] : page.takes;
    return { studioId, looksOnly, teaches, advice, forToday, ...page, takes };
  });

export const action = (asked: Route.ActionArgs) =>
  forSession(asked, "practise", async ({ services, studioId, sessionId }) => {
    const form = await formOf(asked.request);
    const done = await sayAfterwards(services, studioId, sessionId, form);
    return done.ok ? undefined : refused(done.error);
  });

export default function Afterwards({ loaderData, actionData }: Route.ComponentProps) {
  return <AfterwardsPage {...loaderData} refused={actionData} />;
}
