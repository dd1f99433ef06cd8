import * as v from "valibot";
import { firstPosition, type PassageNotes, type ScoreNote } from "~/core/score";
import { planOf, type TrackNote } from "~/core/session";
import { addDays, valueOf } from "~/core/units";
import {
  insertByHand,
  notesOf,
  partOf,
  passagesOfPerson,
  scoreOf,
  studentById,
  studioById,
  type Passage,
} from "~/db/queries";
import { hurtSince, PAIN_DAYS } from "../plan/pain";
import { whatHappened } from "../plan/week-plan";
import { todayIn, type Services } from "../services";
import { blockOf } from "./start-session";

const isPlayed = (note: ScoreNote, part: number, only: PassageNotes): boolean => {
  if (note.part !== part || note.grace || note.midi === null) return false;
  if (only === "upper" || only === "lower") return note.staff === (only === "upper" ? 1 : 2);
  return only === "all" || note.voice === (only === "voice-1" ? "1" : "2");
};

/** The notes of a passage as they sound, tied ones as one; none where the piece has none. */
async function notesOfPassage(
  { db }: Services,
  studioId: string,
  { personId, pieceId, fromBar, toBar, onlyNotes }: Passage,
): Promise<TrackNote[]> {
  const [stored, read] = [
    await scoreOf(db, studioId, pieceId),
    await notesOf(db, studioId, pieceId),
  ];
  if (!stored || !read) return [];
  const { part_id } = await partOf(db, studioId, personId, pieceId);
  const part = Math.max(
    0,
    stored.score.parts.findIndex(({ id }) => id === part_id),
  );
  const first = firstPosition(stored.score);
  const sounding = new Map<string, TrackNote & { lasts: number }>();
  const notes: TrackNote[] = [];
  // A bar before and some after: pickup, and what is played around it.
  for (let bar = Math.max(first, fromBar - 3); bar <= toBar + 3; bar++) {
    for (const note of read.notes[bar - first] ?? []) {
      if (!isPlayed(note, part, onlyNotes)) continue;
      const name = `${note.staff} ${note.voice} ${note.midi}`;
      const before = note.tiedFrom ? sounding.get(name) : undefined;
      if (before) {
        before.lasts += valueOf(note.duration);
        continue;
      }
      const at = { at: valueOf(note.onset), lasts: valueOf(note.duration) };
      const sounds = { bar, ...at, midi: note.midi! };
      sounding.set(name, sounds);
      notes.push(sounds);
    }
  }
  return notes;
}

/** More passages than anybody plays in a session. */
const MOST_PASSAGES = 40;

/** Which passages a track of a session is made of, in their order. */
export const trackedSchema = v.pipe(
  v.array(v.pipe(v.string(), v.uuid("That is no passage."))),
  v.maxLength(MOST_PASSAGES, `At most ${MOST_PASSAGES} passages.`),
);

/**
 * Passages of a student as today's session would have them, to be made into sound; those without a
 * ladder, and those of others, are left out.
 */
export async function trackPage(
  services: Services,
  studioId: string,
  personId: string,
  passageIds: readonly string[],
) {
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  const { id, name, no_verdict: noVerdict } = await studentById(db, studioId, personId);
  const all = await passagesOfPerson(db, studioId, personId);
  const chosen = passageIds.flatMap((each) => all.find((passage) => passage.id === each) ?? []);
  const passages = [];
  for (const passage of chosen) {
    const block = blockOf(passage, today);
    if (!block) continue;
    const [planned] = planOf({ noVerdict, blocks: [block] }).blocks;
    const notes = await notesOfPassage(services, studioId, passage);
    passages.push({ block: planned!, notes });
  }
  const from = addDays(today, -PAIN_DAYS);
  const hurt = hurtSince(await whatHappened(db, studioId, personId, from, today));
  return { person: { id, name }, passages, hurts: hurt !== undefined };
}

/** Minutes that somebody listened along to a track; told again, the same entry grows. */
export const listenedSchema = v.object({
  id: v.pipe(v.string(), v.uuid()),
  minutes: v.pipe(v.string(), v.transform(Number), v.integer(), v.minValue(1), v.maxValue(600)),
  note: v.pipe(v.string(), v.trim(), v.maxLength(200)),
});

export async function listenedAlong(
  services: Services,
  studioId: string,
  personId: string,
  { id, minutes, note }: v.InferOutput<typeof listenedSchema>,
): Promise<void> {
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  await studentById(db, studioId, personId);
  await insertByHand(db, studioId, personId, { id, day: today, minutes, item_id: null, note });
}
