import { checkedStaircase, spanOf, type Ladder } from "~/core/ladder";
import { bestDailyGain } from "~/core/record";
import { err, ok, sentences, type Result } from "~/core/result";
import { barsOf, rangeOf, type PassageRange } from "~/core/score";
import { addDays, daysBetween } from "~/core/units";
import * as v from "valibot";
import {
  ceilingsOfPerson,
  flawsByBar,
  keptLadders,
  passageById,
  repsOfPassage,
  studentById,
  studioById,
  type Passage,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { todayIn, type Services } from "../services";
import { ladderTextSchema } from "./ladder-text";
import { passageLine } from "./passage-line";
import { courseOf, passageTempo } from "./passage-tempo";
import { partOf, wayInto } from "./way-into";

const RECORD_DAYS = 90;
const FLAW_DAYS = 28;

type CeilingRow = Awaited<ReturnType<typeof ceilingsOfPerson>>[number];

function byPassage(rows: readonly CeilingRow[]): CeilingRow[][] {
  const groups = new Map<string, CeilingRow[]>();
  for (const row of rows) groups.set(row.passage_id, [...(groups.get(row.passage_id) ?? []), row]);
  return [...groups.values()];
}

/** A passage with its student, its ladder, and the plays that an estimate is made from. */
export async function workshopPage(services: Services, studioId: string, passageId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const passage = await passageById(db, studioId, passageId);
  const { personId, pieceId, ladder, piece } = passage;
  const today = todayIn(services, studio);
  const [person, reps, flaws, ceilings, kept] = await Promise.all([
    studentById(db, studioId, personId),
    repsOfPassage(db, studioId, passageId, addDays(today, -RECORD_DAYS), today),
    flawsByBar(db, studioId, personId, pieceId, addDays(today, -FLAW_DAYS)),
    ceilingsOfPerson(db, studioId, personId),
    keptLadders(db, studioId),
  ]);
  const way = ladder ? wayInto({ ...passage, ladder }, today) : undefined;
  return {
    today,
    person,
    piece,
    course: courseOf(piece) ?? null,
    tempo: passageTempo(passage),
    passage: passageLine(passage, today),
    range: rangeOf(passage),
    hardness: passage.hardness,
    order: passage.order,
    ladder,
    place: way?.place ?? null,
    startToday: way?.start ?? null,
    reps: reps.map(({ day, ...rep }) => ({ ...rep, daysAgo: daysBetween(day, today) })),
    flaws: flaws.filter(({ bar }) => bar >= passage.fromBar && bar <= passage.toBar),
    bestGain: bestDailyGain(byPassage(ceilings)) ?? null,
    concertInDays: studio.concert_on ? daysBetween(today, studio.concert_on) : null,
    kept: kept.map(({ id, name, ladder: each }) => ({ id, name, ladder: each })),
  };
}

/** What of a passage a ladder is checked against. */
export type LadderedPassage = PassageRange & Pick<Passage, "piece" | "beatUnit">;

const SEVERAL_TEMPI =
  "This passage goes over several tempi: its ladder climbs in percent of the full ones.";

/** The ladder as the workshop sends it, JSON in one field, checked against its passage. */
export function readLadder(form: FormData, passage: LadderedPassage): Result<Ladder, FormRefused> {
  const read = v.safeParse(ladderTextSchema, form.get("ladder"));
  if (!read.success) return err({ errors: sentences(read.issues), values: {} });
  const ladder = read.output;
  const bars = barsOf(passage.piece.metres, partOf(passage, ladder));
  const { start } = spanOf(ladder, ladder.phases[0]!);
  if (ladder.of === null && passageTempo(passage).across.length > 0) {
    return err({ errors: { form: SEVERAL_TEMPI }, values: {} });
  }
  const unrolled = checkedStaircase(ladder, { start, bars });
  if (unrolled.ok) return ok(ladder);
  const { field, sentence } = unrolled.error;
  return err({ errors: { [field]: sentence }, values: {} });
}
