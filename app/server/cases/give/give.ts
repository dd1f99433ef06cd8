import * as v from "valibot";
import { checkedStaircase, forAnother, spanOf, type Ladder } from "~/core/ladder";
import {
  barsOf,
  rangeOf,
  type MetreRegion,
  type PassageNotes,
  type PassageRange,
  type Stages,
} from "~/core/score";
import { err, ok, type Result } from "~/core/result";
import type { BeatUnit, Day } from "~/core/units";
import {
  insertLadder,
  insertPassage,
  passagesOfPerson,
  pieceOfPerson,
  putOnStand,
  setStages,
  stagesOf,
  studentById,
  studioById,
  type GivenFrom,
  type Passage,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { standingOf } from "../../plan/standing";
import { todayIn, type Services } from "../../services";
import { beatUnitAt } from "../piece/passages";
import type { Giving } from "./giving";

const MOST_STUDENTS = 60;

const toSchema = v.pipe(
  v.array(v.pipe(v.string(), v.uuid("A student can't be read."))),
  v.minLength(1, "Choose at least one student."),
  v.maxLength(MOST_STUDENTS, `At most ${MOST_STUDENTS} students at once.`),
);

const itemsSchema = v.pipe(
  v.array(v.pipe(v.string(), v.uuid("An item can't be read."))),
  v.minLength(1, "Choose at least one item."),
);

/** Which items of a week are given, and to whom. */
export function readGivenItems(
  form: FormData,
): Result<{ readonly to: string[]; readonly items: string[] }, FormRefused> {
  const to = readGiven(form);
  if (!to.ok) return to;
  const items = v.safeParse(itemsSchema, form.getAll("item"));
  if (items.success) return ok({ to: to.value, items: items.output });
  return err({ errors: { to: items.issues[0].message }, values: {} });
}

export function readGiven(form: FormData): Result<string[], FormRefused> {
  const read = v.safeParse(toSchema, form.getAll("to"));
  if (read.success) return ok([...new Set(read.output)]);
  return err({ errors: { to: read.issues[0].message }, values: {} });
}

/** How comfortable a student is, passage by passage, as shares of the targets. */
export const sharesOf = (passages: readonly Passage[], today: Day): number[] =>
  passages.flatMap((passage) => {
    const standing = standingOf(passage, today, "common");
    const { ladder } = passage;
    return standing && ladder ? [Math.min(1, standing.comfortable.value / ladder.target)] : [];
  });

/** A passage that somebody is given: another's, or an exercise's. */
export interface Given extends PassageRange {
  readonly pieceId: string;
  readonly name: string;
  readonly focus: string;
  readonly onlyNotes: PassageNotes;
  readonly hardness: number | null;
  readonly order: readonly number[];
  /** In which its tempi are told, where that is known. */
  readonly beatUnit?: BeatUnit | null;
  readonly ladder: Ladder | null;
  readonly piece: { readonly metres: readonly MetreRegion[] };
  /** Nothing for what a group is set. */
  readonly from: GivenFrom | undefined;
}

export const givenFrom = (passage: Passage): Given => ({
  ...passage,
  from: { passage: passage.id },
});

/** The ladder as it suits somebody else; as it is where the other start can't be climbed. */
export function suited(
  given: Pick<Given, "piece"> & PassageRange,
  ladder: Ladder,
  shares: readonly number[],
  today: Day,
): Ladder {
  const theirs: Ladder = { ...forAnother(ladder, shares), setOn: today };
  const bars = barsOf(given.piece.metres, given);
  const { start } = spanOf(theirs, theirs.phases[0]!);
  return checkedStaircase(theirs, { start, bars }).ok ? theirs : { ...ladder, setOn: today };
}

/**
 * One passage for somebody else, unless they have these bars of the piece already; the id of what
 * they then have.
 */
export async function givePassage(
  { tx, studioId, newId, now, today }: Giving,
  given: Given,
  to: string,
  theirs: readonly Passage[],
): Promise<string> {
  const same = theirs.find(
    (each) =>
      each.pieceId === given.pieceId &&
      each.onlyNotes === given.onlyNotes &&
      JSON.stringify(rangeOf(each)) === JSON.stringify(rangeOf(given)),
  );
  if (same) return same.id;
  const id = newId();
  const { name, focus, onlyNotes, hardness, order, pieceId } = given;
  const range = rangeOf(given);
  const beatUnit =
    given.beatUnit === undefined
      ? await beatUnitAt(tx, studioId, pieceId, given.fromBar)
      : given.beatUnit;
  const told = { name, focus, onlyNotes, hardness, order, beatUnit, given: given.from };
  await insertPassage(tx, studioId, { id, personId: to, pieceId, ...told, ...range });
  if (!given.ladder) return id;
  const ladder = suited(given, given.ladder, sharesOf(theirs, today), today);
  await insertLadder(tx, studioId, id, { id: newId(), ladder, at: new Date(now()) });
  return id;
}

interface Material {
  readonly pieceId: string;
  readonly stages: Stages | undefined;
  readonly passages: readonly Given[];
}

/**
 * A piece with its passages and ladders for one student, each ladder from where that student is
 * comfortable; what they have already stays as it is. The ids of the passages they then have.
 */
export async function giveMaterial(
  giving: Giving,
  { pieceId, stages, passages }: Material,
  to: string,
): Promise<string[]> {
  const { tx, studioId } = giving;
  await studentById(tx, studioId, to);
  const isNew = await putOnStand(tx, studioId, to, pieceId);
  if (isNew && stages) await setStages(tx, studioId, to, pieceId, { ...stages, at: 0 });
  const theirs = await passagesOfPerson(tx, studioId, to);
  const ids: string[] = [];
  for (const passage of passages) ids.push(await givePassage(giving, passage, to, theirs));
  return ids;
}

/** Gives a piece with its passages, ladders and stages to other students of the room. */
export async function givePiece(
  { db, now, newId }: Services,
  { studioId, personId, pieceId }: { studioId: string; personId: string; pieceId: string },
  to: readonly string[],
): Promise<number> {
  return db.transaction(async (tx) => {
    const today = todayIn({ now }, await studioById(tx, studioId));
    await pieceOfPerson(tx, studioId, personId, pieceId);
    const mine = await passagesOfPerson(tx, studioId, personId);
    const passages = mine.filter((each) => each.pieceId === pieceId).map(givenFrom);
    const all = await stagesOf(tx, studioId, personId);
    const stages = all.find(({ piece_id }) => piece_id === pieceId)?.stages ?? undefined;
    const others = to.filter((id) => id !== personId);
    for (const other of others) {
      await giveMaterial({ tx, studioId, newId, now, today }, { pieceId, stages, passages }, other);
    }
    return others.length;
  });
}
