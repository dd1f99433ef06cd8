import { checkedStaircase, spanOf, type Ladder } from "~/core/ladder";
import { dailyGain, type Level } from "~/core/record";
import { err, ok, sentences, type Result } from "~/core/result";
import { barsOf, rangeOf, type PassageRange } from "~/core/score";
import { addDays, daysBetween } from "~/core/units";
import * as v from "valibot";
import {
  flawsByBar,
  keptLadders,
  levelsOfPerson,
  passageById,
  studentById,
  studioById,
  type Passage,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { standingOf } from "../../plan/standing";
import { todayIn, type Services } from "../../services";
import { ladderTextSchema } from "../give/ladder-text";
import { passageLine } from "../../plan/passage-line";
import { courseOf, passageTempo } from "../../plan/passage-tempo";
import { leftOf, partOf, wayInto } from "../../plan/way-into";

const FLAW_DAYS = 28;

/** Fewer days of practice say little of what a student gains in one. */
const LEAST_DAYS = 4;

/** The most that a student may gain in a practice day, as far as their passages tell. */
const bestGain = (known: readonly { readonly level: Level }[]): number | null =>
  known.length === 0 ? null : Math.max(0, ...known.map(({ level }) => dailyGain(level).high));

/** A passage with its student, its ladder, and the plays that an estimate is made from. */
export async function workshopPage(services: Services, studioId: string, passageId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const passage = await passageById(db, studioId, passageId);
  const { personId, pieceId, ladder, piece } = passage;
  const today = todayIn(services, studio);
  const [person, flaws, levels, kept] = await Promise.all([
    studentById(db, studioId, personId),
    flawsByBar(db, studioId, personId, pieceId, addDays(today, -FLAW_DAYS)),
    levelsOfPerson(db, studioId, personId, LEAST_DAYS),
    keptLadders(db, studioId),
  ]);
  const standing = standingOf(passage, today);
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
    left: leftOf(passage, today),
    record: standing ? { level: standing.level, most: standing.most, plays: passage.plays } : null,
    flaws: flaws.filter(({ bar }) => bar >= passage.fromBar && bar <= passage.toBar),
    bestGain: bestGain(levels),
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
  return fitsPassage(read.output, passage);
}

/** A ladder, if it can be climbed over the bars of a passage; else why not, at its field. */
export function fitsPassage(ladder: Ladder, passage: LadderedPassage): Result<Ladder, FormRefused> {
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
