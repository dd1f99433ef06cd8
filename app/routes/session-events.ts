import * as v from "valibot";
import { sessionEventSchema } from "~/core/session";
import { forSession } from "~/server/access/guard";
import { jsonOf } from "~/server/body";
import { appendEvents } from "~/server/cases/session/append-events";
import { storedEvents } from "~/server/cases/session/stand";
import type { Route } from "./+types/session-events";

const MOST_AT_ONCE = 500;
const MOST_BYTES = 1_000_000;

const batchSchema = v.object({
  events: v.pipe(
    v.array(sessionEventSchema),
    v.minLength(1, "There are no events."),
    v.maxLength(MOST_AT_ONCE, `At most ${MOST_AT_ONCE} events at once.`),
  ),
  /** What the device's clock showed when it sent them, in milliseconds since 1970. */
  sentAt: v.optional(v.pipe(v.number(), v.integer())),
});

export const loader = (asked: Route.LoaderArgs) =>
  forSession(asked, "practise", async ({ services, studioId, sessionId }) => {
    return Response.json({ events: await storedEvents(services, studioId, sessionId) });
  });

const refuse = (status: number, sentence: string, more: object = {}) =>
  Response.json({ sentence, ...more }, { status });

export const action = (asked: Route.ActionArgs) =>
  forSession(asked, "practise", async ({ services, studioId, sessionId }) => {
    const { events, sentAt } = await jsonOf(asked.request, batchSchema, MOST_BYTES);
    const done = await appendEvents(services, studioId, sessionId, events, sentAt);
    return done.ok ? Response.json(done.value) : refuse(409, done.error.sentence, done.error);
  });
