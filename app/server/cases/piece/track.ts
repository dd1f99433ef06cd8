import * as v from "valibot";
import {
  firstPosition,
  type PassageNotes,
  type Score,
  type ScoreNote,
  type ScoreNotes,
} from "~/core/score";
import { inKey, planOf, type TrackNote } from "~/core/session";
import { addDays, parseKey, valueOf, type Key } from "~/core/units";
import {
  assignmentsOf,
  demonstrationsOf,
  insertByHand,
  notesOf,
  partOf,
  passagesOfPerson,
  scoreOf,
  studentById,
  studioById,
  type Passage,
} from "~/db/queries";
import { changedToday } from "../../plan/changed-today";
import { hurtSince, PAIN_DAYS } from "../../plan/pain";
import { weekNotes, weekOn } from "../../plan/week-on";
import { whatHappened } from "../../plan/week-plan";
import { todayIn, type Services } from "../../services";
import { madeInKey } from "./made";
import { blockOf } from "../../plan/block-of";

const isPlayed = (note: ScoreNote, part: number, only: PassageNotes): boolean => {
  if (note.part !== part || note.grace || note.midi === null) return false;
  if (only === "upper" || only === "lower") return note.staff === (only === "upper" ? 1 : 2);
  return only === "all" || note.voice === (only === "voice-1" ? "1" : "2");
};

interface WrittenNotes {
  readonly score: Score;
  readonly notes: ScoreNotes;
}

/** The notes of a piece: in the week's key where it is an exercise; nothing where it has none. */
async function writtenNotes(
  services: Services,
  studioId: string,
  pieceId: string,
  key: Key | undefined,
): Promise<WrittenNotes | undefined> {
  const made = key && (await madeInKey(services, studioId, pieceId, key));
  if (made) return made;
  const stored = await scoreOf(services.db, studioId, pieceId);
  const read = await notesOf(services.db, studioId, pieceId);
  return stored && read && { score: stored.score, notes: read.notes };
}

/** The notes of a passage as they sound, tied ones as one; none where the piece has none. */
async function notesOfPassage(
  services: Services,
  studioId: string,
  { personId, pieceId, fromBar, toBar, onlyNotes }: Passage,
  key: Key | undefined,
): Promise<TrackNote[]> {
  const read = await writtenNotes(services, studioId, pieceId, key);
  if (!read) return [];
  const { part_id } = await partOf(services.db, studioId, personId, pieceId);
  const part = Math.max(
    0,
    read.score.parts.findIndex(({ id }) => id === part_id),
  );
  const first = firstPosition(read.score);
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

/** The week that is on is among the latest. */
const WEEKS_READ = 3;
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
  const theirs = await passagesOfPerson(db, studioId, personId);
  const { passages: all } = await changedToday(db, studioId, personId, today, theirs);
  const chosen = passageIds.flatMap((each) => all.find((passage) => passage.id === each) ?? []);
  const week = weekOn(await assignmentsOf(db, studioId, personId, WEEKS_READ), today);
  const saidOf = weekNotes(week, today);
  const pieces = [...new Set(chosen.map(({ pieceId }) => pieceId))];
  const recorded = await demonstrationsOf(db, studioId, pieces);
  const passages = [];
  for (const passage of chosen) {
    const block = blockOf(passage, today);
    if (!block) continue;
    const [planned] = planOf({ noVerdict, blocks: [block] }).blocks;
    const name = saidOf({ passageId: passage.id, itemId: null })?.key;
    const key = name ? parseKey(name) : undefined;
    const notes = await notesOfPassage(services, studioId, passage, key);
    const { ladder } = planned!;
    // The drone follows the week's key, as at the stand.
    const tracked = { ...planned!, ladder: { ...ladder, click: inKey(ladder.click, key) } };
    const recordings = recorded
      .filter(({ piece_id }) => piece_id === passage.pieceId)
      .map(({ id, name }) => ({ id, name }));
    passages.push({ block: tracked, notes, key: name ?? null, recordings });
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
