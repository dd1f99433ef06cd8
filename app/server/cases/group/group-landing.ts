import {
  checkedStaircase,
  initialNumbers,
  LADDER_DEFAULTS,
  ladderSchema,
  spanOf,
  type Ladder,
} from "~/core/ladder";
import { barsOf, regionAt, type MetreRegion } from "~/core/score";
import { itemOfGroup, type AssignmentItem } from "~/core/week";
import { TEMPO_LIMITS } from "~/core/units";
import {
  insertLadder,
  laddersOf,
  passagesOfPerson,
  pieceById,
  putLanded,
  putOnStand,
  type GroupItemRow,
  type keptLadders,
  type Landed,
  type LeftOutFor,
  type Passage,
} from "~/db/queries";
import * as v from "valibot";
import { givePassage, sharesOf, suited, type Given } from "../give/give";
import {
  changeInWeek,
  intoNext,
  isFull,
  memberWeeks,
  putIntoWeeks,
  weeksWith,
  type MemberWeeks,
} from "../week/member-weeks";
import type { Giving } from "../give/giving";

/** Where nothing is known of somebody, half of the target is a beginning. */
const FIRST_SHARE = 0.5;

type Kept = Awaited<ReturnType<typeof keptLadders>>;
type Target = Omit<GroupItemRow, "group_id" | "set_at">;

/** Even steps to the target, or the library's way; each day from where the player is comfortable. */
function ladderOf({ music, minutes }: GroupItemRow["asked"], kept: Kept): Ladder {
  const { target, keptLadderId } = music!;
  const own = kept.find(({ id }) => id === keptLadderId)?.ladder;
  const evenSteps = { name: "even-steps", numbers: initialNumbers("even-steps") };
  const base = own ?? {
    ...LADDER_DEFAULTS,
    phases: [{ school: evenSteps, start: null, target: null }],
    gate: [{ kind: "in-a-row", plays: 3, afterFlawed: "reset" }],
    rest: 0,
    hidden: false,
  };
  return v.parse(ladderSchema, {
    ...base,
    target,
    start: Math.max(TEMPO_LIMITS.lowest, Math.round(target * FIRST_SHARE)),
    startRule: { kind: "comfortable" },
    minutes,
    part: null,
  });
}

/** Why the way up can't be climbed in these bars; undefined where it can. */
export function ladderRefused(
  asked: GroupItemRow["asked"],
  kept: Kept,
  metres: readonly MetreRegion[],
): string | undefined {
  const ladder = ladderOf(asked, kept);
  const { start } = spanOf(ladder, ladder.phases[0]!);
  const drawn = checkedStaircase(ladder, { start, bars: barsOf(metres, asked.music!) });
  return drawn.ok ? undefined : `This way up doesn't fit here: ${drawn.error.sentence}`;
}

/** What is played of the item, as it is given to each member. */
async function materialOf(
  { tx, studioId }: Giving,
  { asked }: Target,
  kept: Kept,
): Promise<Given | undefined> {
  if (!asked.music) return undefined;
  const { pieceId, fromBar, toBar } = asked.music;
  const { metres, tempi } = await pieceById(tx, studioId, pieceId);
  const range = { fromBar, toBar, pickupBeats: 0, startBeats: 0, endBeats: 0 };
  const told = { name: "", focus: asked.focus, onlyNotes: "all" as const, hardness: null };
  const beatUnit = tempi && regionAt(tempi.regions, fromBar).unit;
  const ladder = ladderOf(asked, kept);
  return {
    ...{ ...range, ...told, pieceId, beatUnit, order: [], ladder },
    ...{ piece: { metres }, from: undefined },
  };
}

interface Member {
  readonly id: string;
  /** Nothing is played until they say that nothing hurts. */
  readonly hurt: boolean;
  /** The teacher has left them out of it. */
  readonly leftOut: boolean;
}

type Has = { readonly item: AssignmentItem };

export interface Landing {
  readonly giving: Giving;
  readonly item: Target;
  readonly kept: Kept;
  /** What each is given to play, where it is something to play. */
  readonly material: Given | undefined;
}

/** An item as it comes to all members of its group. */
export const landingOf = async (giving: Giving, item: Target, kept: Kept): Promise<Landing> => ({
  ...{ giving, item, kept },
  material: await materialOf(giving, item, kept),
});

function reasonAgainst(member: Member, item: Target, weeks: MemberWeeks) {
  if (member.leftOut) return "by-you";
  if (member.hurt && item.asked.music) return "hurt";
  return isFull(weeks) ? "full" : undefined;
}

/** Brings an item to a member for the first time: their own passage and ladder, into their weeks. */
async function land(landing: Landing, member: Member): Promise<void> {
  const { giving, item } = landing;
  const { tx, studioId } = giving;
  const weeks = await memberWeeks(giving, member.id, item.until_day);
  const told = { group_item_id: item.id, person_id: member.id, kept_theirs: false };
  const against: LeftOutFor | undefined = reasonAgainst(member, item, weeks);
  if (against) {
    const nothing = { left_out: against, item: null, ladder_number: null };
    return void (await putLanded(tx, studioId, { ...told, ...nothing }));
  }
  const { passageId, ladderNumber } = await theirPassage(landing, member.id);
  const id = giving.newId();
  const made = itemOfGroup(item.asked, { id, from: item.id, passageId, due: item.until_day });
  await putIntoWeeks(giving, weeks, made);
  const landed = { left_out: null, item: made, ladder_number: ladderNumber };
  await putLanded(tx, studioId, { ...told, ...landed });
}

/** Their passage of these bars, made and given a ladder where they have none. */
async function theirPassage({ giving, material }: Landing, personId: string) {
  if (!material) return { passageId: null, ladderNumber: null };
  const { tx, studioId } = giving;
  await putOnStand(tx, studioId, personId, material.pieceId);
  const theirs = await passagesOfPerson(tx, studioId, personId);
  const passageId = await givePassage(giving, material, personId, theirs);
  const isNew = !theirs.some(({ id }) => id === passageId);
  return { passageId, ladderNumber: isNew ? 1 : null };
}

/** The ladder goes to another target as well, where it is still the one that came with the item. */
async function moveLadder({ giving, item, kept }: Landing, landed: Landed, passage: Passage) {
  const { tx, studioId, newId, now, today } = giving;
  const { length } = await laddersOf(tx, studioId, passage.id);
  if (length !== landed.ladder_number) return null;
  const theirs = await passagesOfPerson(tx, studioId, landed.person_id);
  const ladder = suited(passage, ladderOf(item.asked, kept), sharesOf(theirs, today), today);
  await insertLadder(tx, studioId, passage.id, { id: newId(), ladder, at: new Date(now()) });
  return length + 1;
}

/** Brings a later change to a member who has it as it was given; else theirs stays. */
async function bringChange(landing: Landing, landed: Landed & Has): Promise<void> {
  const { giving, item } = landing;
  const { tx, studioId } = giving;
  const weeks = await memberWeeks(giving, landed.person_id, item.until_day);
  const stands = weeksWith(weeks, landed.item);
  if (!stands.some(({ same }) => same)) {
    return void (await putLanded(tx, studioId, { ...landed, kept_theirs: true }));
  }
  const own = await theirPassage(landing, landed.person_id);
  const made = itemOfGroup(item.asked, {
    ...{ id: landed.item.id, from: item.id, due: item.until_day },
    passageId: own.passageId,
  });
  const passages = await passagesOfPerson(tx, studioId, landed.person_id);
  const passage = passages.find(({ id }) => id === own.passageId);
  const same = own.passageId === landed.item.passageId;
  const ladder_number =
    same && passage ? await moveLadder(landing, landed, passage) : own.ladderNumber;
  for (const each of stands) if (each.same) await changeInWeek(giving, each, made);
  // What was left out of a next week stays out, unless it is due later now.
  if (item.until_day > (landed.item.due ?? item.until_day)) await intoNext(giving, weeks, made);
  // A week that is being put together is nobody's yet.
  const kept_theirs = stands.some(({ week, same }) => !same && week.set_at !== null);
  await putLanded(tx, studioId, { ...landed, item: made, ladder_number, kept_theirs });
}

/** Takes an item out of a member's weeks again, where they have it as it was given. */
export async function takeOut(giving: Giving, { person_id, item }: Landed): Promise<void> {
  if (!item) return;
  const weeks = await memberWeeks(giving, person_id, giving.today);
  for (const each of weeksWith(weeks, item)) {
    if (each.same) await changeInWeek(giving, each, undefined);
  }
}

/** Brings an item to a member: anew, or what has changed of it; left out now, it is taken back. */
export async function bring(landing: Landing, member: Member, before: Landed | undefined) {
  if (!before?.item) return land(landing, member);
  if (!member.leftOut) return bringChange(landing, { ...before, item: before.item });
  await takeOut(landing.giving, before);
  return land(landing, member);
}
