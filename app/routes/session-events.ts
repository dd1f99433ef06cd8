import * as v from "valibot";
import { sessionEventSchema } from "~/core/session";
import { answering, idsOf } from "~/server/boundary";
import { appendEvents } from "~/server/cases/append-events";
import { storedEvents } from "~/server/cases/stand";
import { servicesOf } from "~/server/context";
import type { Route } from "./+types/session-events";

const MOST_AT_ONCE = 500;
const MOST_BYTES = 1_000_000;

const batchSchema = v.object({
  events: v.pipe(
    v.array(sessionEventSchema),
    v.minLength(1, "There are no events."),
    v.maxLength(MOST_AT_ONCE, `At most ${MOST_AT_ONCE} events at once.`),
  ),
});

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, sessionId } = idsOf(params, "studioId", "sessionId");
    return Response.json({ events: await storedEvents(servicesOf(context), studioId, sessionId) });
  });

const refuse = (status: number, sentence: string, more: object = {}) =>
  Response.json({ sentence, ...more }, { status });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId, sessionId } = idsOf(params, "studioId", "sessionId");
    const text = await request.text();
    if (text.length > MOST_BYTES) return refuse(413, "That is too much at once.");
    const read = v.safeParse(v.pipe(v.string(), v.parseJson(), batchSchema), text);
    if (!read.success) return refuse(400, read.issues[0].message);
    const done = await appendEvents(servicesOf(context), studioId, sessionId, read.output.events);
    return done.ok ? Response.json(done.value) : refuse(409, done.error.sentence, done.error);
  });
