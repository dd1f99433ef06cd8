import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { FEELINGS, RATED, RATINGS, sessionEventSchema } from "~/core/session";
import { eventsOf } from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import type { Services } from "../../services";
import { appendEvents } from "./append-events";

const LONGEST = 500;

const line = (sentence: string) =>
  v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, sentence),
    v.maxLength(LONGEST, `Keep it under ${LONGEST} characters.`),
  );
const id = v.pipe(v.string(), v.uuid("It can't be read."));

const saidSchema = v.variant("say", [
  v.object({ say: v.literal("note"), id, note: line("Write a line first.") }),
  v.object({ say: v.literal("question"), id, question: line("Write the question first.") }),
  v.object({ say: v.literal("rating"), id, what: v.picklist(RATINGS), answer: v.picklist(RATED) }),
  v.object({ say: v.literal("feeling"), id, feeling: v.picklist(FEELINGS) }),
]);
type Said = v.InferOutput<typeof saidSchema>;

function eventFrom(said: Said) {
  switch (said.say) {
    case "note":
      return { kind: "noted", payload: { text: said.note } };
    case "question":
      return { kind: "asked", payload: { text: said.question } };
    case "rating":
      return { kind: "rated", payload: { what: said.what, answer: said.answer } };
    case "feeling":
      return { kind: "felt", payload: { feeling: said.feeling } };
  }
}

/** Somebody who says two things at once has one of them put behind the other. */
const TRIES = 5;

/**
 * What is said of a session after it: a line, a question, a rating, how it felt. The id comes with
 * the form: sent twice, it is said once.
 */
export async function sayAfterwards(
  services: Services,
  studioId: string,
  sessionId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, saidSchema);
  if (!read.ok) return read;
  for (let tried = 0; tried < TRIES; tried++) {
    const events = await eventsOf(services.db, studioId, sessionId);
    if (events.some((event) => event.id === read.value.id)) return ok(undefined);
    const event = v.parse(sessionEventSchema, {
      id: read.value.id,
      seq: events.length,
      at: services.now(),
      ...eventFrom(read.value),
    });
    const done = await appendEvents(services, studioId, sessionId, [event]);
    if (done.ok) return ok(undefined);
  }
  const sentence = "The stand was writing at the same moment. Send it again.";
  const values = Object.fromEntries([...form].map(([key, value]) => [key, String(value)]));
  return err({ errors: { [read.value.say]: sentence }, values });
}
