import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { eventsOf } from "~/db/queries";
import { readForm, type FormRefused } from "../form";
import type { Services } from "../services";
import { appendEvents } from "./append-events";

const LONGEST_NOTE = 500;

const noteSchema = v.object({
  id: v.pipe(v.string(), v.uuid("The note can't be read.")),
  note: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, "Write a line first."),
    v.maxLength(LONGEST_NOTE, `Keep it under ${LONGEST_NOTE} characters.`),
  ),
});

/** One line for the log, after the session. The id comes with the form: sent twice, it is one note. */
export async function addNote(
  services: Services,
  studioId: string,
  sessionId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, noteSchema);
  if (!read.ok) return read;
  const { id, note } = read.value;
  const events = await eventsOf(services.db, studioId, sessionId);
  if (events.some((event) => event.id === id)) return ok(undefined);
  const event = {
    id,
    seq: events.length,
    at: services.now(),
    kind: "noted",
    payload: { text: note },
  } as const;
  const done = await appendEvents(services, studioId, sessionId, [event]);
  if (done.ok) return ok(undefined);
  const sentence = "The stand was writing at the same moment. Send it again.";
  return err({ errors: { note: sentence }, values: { note } });
}
