import { data, redirect } from "react-router";
import * as v from "valibot";
import { err, type Result } from "~/core/result";
import { TakePage } from "~/features/take/take-page";
import { forTake } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { answerTo, commentOn, handIn, handInsOf } from "~/server/cases/take/hand-ins";
import { dropTake, dropTakesOf, letParents, sayHeard, takePage } from "~/server/cases/take/takes";
import { readQuery } from "~/server/query";
import { waitingQuerySchema } from "~/forms/waiting";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import type { Route } from "./+types/take";

/** Another take to be heard beside it. */
const besideSchema = v.object({
  beside: v.optional(v.pipe(v.string(), v.uuid("There is no such take."))),
});

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(listenWords.title, loaderData?.passage.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forTake(asked, "listen", async ({ services, studioId, takeId, who }) => {
    const { beside } = readQuery(asked.request, besideSchema);
    const page = await takePage(services, studioId, takeId, { listener: who.personId, beside });
    const teaches = who.role === "teacher";
    const looksOnly = who.role === "parent";
    const { id: passageId, hasNotes } = page.passage;
    // As they were at the stand: in the key that the session was in.
    const notes = `/studio/${studioId}/sessions/${page.take.sessionId}/notes/${passageId}`;
    return {
      studioId,
      teaches,
      looksOnly,
      ...page,
      passage: { ...page.passage, notes: hasNotes ? notes : undefined },
      ...(await handInsOf(services, studioId, takeId)),
    };
  });

/** A refusal is told on the page; anything else shows itself there. */
const told = (done: Result<unknown, string>) =>
  done.ok ? undefined : refused({ errors: { take: done.error }, values: {} });

const TEACHERS = "Only the teacher says that.";

/** Says what was heard, hands it in, answers it, or deletes the take, or all of its student's. */
export const action = (asked: Route.ActionArgs) =>
  forTake(asked, "hear", async ({ services, studioId, takeId, personId, who }) => {
    const form = await formOf(asked.request);
    const what = form.get("what");
    if (what === "heard") {
      const said = await sayHeard(services, studioId, { takeId, listener: who.personId }, form);
      return told(said);
    }
    if (what === "leave") {
      await letParents(services, studioId, personId, form);
      return undefined;
    }
    if (what === "hand-in") return told(await handIn(services, studioId, takeId, form));
    if (what === "comment" || what === "answer") {
      if (who.role !== "teacher") throw data({ sentence: TEACHERS }, { status: 403 });
      if (what === "comment") return told(await commentOn(services, studioId, takeId, form));
      const { order } = readQuery(asked.request, waitingQuerySchema);
      const answered = await answerTo(services, studioId, takeId, form, order);
      if (!answered.ok) return told(answered);
      const { next } = answered.value;
      const first = order === "newest" ? "?order=newest" : "";
      return redirect(`/studio/${studioId}/${next ? `recordings/${next}${first}` : "listening"}`);
    }
    if (what !== "one" && what !== "all") return told(err("There is no such thing to do."));
    const { passageId } = await dropTake(services, studioId, takeId);
    if (what === "all") await dropTakesOf(services, studioId, personId);
    return redirect(`/studio/${studioId}/passages/${passageId}`);
  });

export default function TakeRoute({ loaderData, actionData }: Route.ComponentProps) {
  const refusal = actionData && "errors" in actionData ? actionData.errors.take : undefined;
  return <TakePage key={loaderData.take.id} {...loaderData} refusal={refusal} />;
}
