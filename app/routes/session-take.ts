import * as v from "valibot";
import { forSession } from "~/server/access/guard";
import { bytesOf, insistOnMethod, jsonOf } from "~/server/body";
import { idsOf } from "~/server/boundary";
import { keepTake, takeCome, takeMore, takeWholeSchema } from "~/server/cases/take/takes";
import type { Route } from "./+types/session-take";

const MOST_TEXT = 1_000_000;

const fromSchema = v.pipe(
  v.nullable(v.string()),
  v.string("It must be said from which byte on."),
  v.regex(/^\d{1,9}$/, "A byte is a whole number."),
  v.transform(Number),
);

const refuse = (status: number, sentence: string) => Response.json({ sentence }, { status });

/** How much of a take has come. */
export const loader = (asked: Route.LoaderArgs) =>
  forSession(asked, "practise", async ({ services, studioId, sessionId }) => {
    const { takeId } = idsOf(asked.params, "takeId");
    return Response.json(await takeCome(services, { studioId, sessionId, takeId }));
  });

/** PUT: more of a take, from a byte on. POST: what is known of it, once all of it has come. */
export const action = (asked: Route.ActionArgs) =>
  forSession(asked, "practise", async ({ services, studioId, sessionId }) => {
    const { takeId } = idsOf(asked.params, "takeId");
    const of = { studioId, sessionId, takeId };
    const { request } = asked;
    if (request.method === "PUT") {
      const from = v.safeParse(fromSchema, new URL(request.url).searchParams.get("from"));
      if (!from.success) return refuse(400, from.issues[0].message);
      const bytes = await bytesOf(request);
      const more = await takeMore(services, of, from.output, bytes);
      return more.ok ? Response.json(more.value) : refuse(more.error.status, more.error.sentence);
    }
    insistOnMethod(request, "PUT", "POST");
    const whole = await jsonOf(request, takeWholeSchema, MOST_TEXT);
    const kept = await keepTake(services, of, whole);
    return kept.ok ? Response.json(kept.value) : refuse(kept.error.status, kept.error.sentence);
  });
