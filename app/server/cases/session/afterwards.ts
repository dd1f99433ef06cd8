import { minutesOfDays } from "~/core/week";
import { worthAMark, type Mark, type PassageAfter } from "~/core/judge";
import { addDays } from "~/core/units";
import {
  assignmentsOf,
  evennessOfSession,
  flawsOfSession,
  fromMemoryOf,
  logEntry,
  passageDays,
  passagesOfPerson,
  studentById,
  studioById,
  type LogEntry,
  type Passage,
} from "~/db/queries";
import { todayIn, type Services } from "../../services";
import { asOf } from "../../plan/as-of";
import { weekNotes, weekOn } from "../../plan/week-on";
import { takesListed } from "../take/takes";
import { whatHappened } from "../../plan/week-plan";
import { passageLine, stateOf } from "../../plan/passage-line";

/** Days before a session that are read for days in a row. */
const ROW_DAYS = 30;

/** What deserves to be noticed, by what was known before that day. */
async function marksOf(
  { db }: Services,
  studioId: string,
  { day, person_id, blocks }: LogEntry,
  passages: readonly Passage[],
): Promise<Mark[]> {
  const [weeks, happened] = await Promise.all([
    assignmentsOf(db, studioId, person_id, 3),
    whatHappened(db, studioId, person_id, addDays(day, -ROW_DAYS), day),
  ]);
  const saidOf = weekNotes(weekOn(weeks, day), day);
  const after = await Promise.all(
    blocks.map(async (block): Promise<PassageAfter> => {
      const days = await passageDays(db, studioId, block.passageId);
      const passage = passages.find(({ id }) => id === block.passageId);
      const target = passage?.ladder?.target ?? block.end;
      // What was reached on some of its bars is no more than those.
      const reached = block.ofPart ? undefined : (block.reached ?? undefined);
      const earlier = days.flatMap((each) => (each.day < day ? (each.reached_tempo ?? []) : []));
      const before = earlier.length > 0 ? Math.max(...earlier) : undefined;
      const timesAtTarget = earlier.filter((tempo) => tempo >= target).length;
      const safeNow = passage !== undefined && stateOf(passage, day) === "safe";
      return {
        title: block.name ? `${block.title}, ${block.name}` : block.title,
        target,
        reached,
        before,
        plays: block.plays,
        clean: block.clean,
        goal: saidOf({ passageId: block.passageId, itemId: null })?.goalTempo ?? undefined,
        newlySafe: safeNow && (reached ?? 0) >= target && timesAtTarget === 1,
      };
    }),
  );
  return worthAMark(after, new Set(minutesOfDays(happened.facts.spent).keys()), day);
}

/** A session as it went; nothing while no event has arrived. */
export async function afterwardsPage(services: Services, studioId: string, sessionId: string) {
  const { db } = services;
  const entry = await logEntry(db, studioId, sessionId);
  if (!entry) return undefined;
  const [studio, person, flaws, passages, fromMemory, evenness] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, entry.person_id),
    flawsOfSession(db, studioId, sessionId),
    passagesOfPerson(db, studioId, entry.person_id),
    fromMemoryOf(db, studioId, sessionId),
    evennessOfSession(db, studioId, sessionId),
  ]);
  const today = todayIn(services, studio);
  const next = passages
    .filter(({ id, ladder }) => ladder && entry.blocks.some((block) => block.passageId === id))
    .map((each) => passageLine(each, today));
  const marks = await marksOf(services, studioId, entry, passages);
  const isToday = entry.day === today;
  const read = asOf(entry, today, studio.time_zone);
  const takes = await takesListed(services, studioId, { sessionId });
  return { person, marks, entry: read, isToday, flaws, fromMemory, evenness, next, takes };
}
