import { addDays, dayOf, daysBetween, type Day } from "~/core/units";
import {
  daysOf,
  doneOn,
  dueDay,
  isDone,
  takeState,
  type AssignmentItem,
  type ItemDays,
  type GroupItemTold,
  type MemberItem,
  type MemberLine,
  minutesOfDays,
  minutesOfItem,
  practisedOf,
} from "~/core/week";
import {
  groupById,
  handInsForItems,
  keptLadders,
  piecesForGroup,
  studioById,
  type GroupItemRow,
  type Landed,
} from "~/db/queries";
import { handedTake } from "../../plan/takes-asked";
import type { Happened } from "../../plan/week-plan";
import { weeksOfEach } from "../../plan/weeks-of-each";
import { todayIn, type Services } from "../../services";
import { groupItemsOf } from "./groups";
import { whoIsHurt } from "../../plan/who-is-hurt";

/** A board shows so many days at least, and at most. */
const DAYS = { least: 7, most: 14 } as const;
/** An item is shown so long after its day. */
const SHOWN_AFTER = 7;

type HandedIn = Awaited<ReturnType<typeof handInsForItems>>[number];

interface Standing {
  readonly row: GroupItemRow;
  readonly landed: Landed | undefined;
  readonly handed: HandedIn | undefined;
  readonly minutes: number;
  /** On how many days it was done. */
  readonly done: number;
  readonly today: Day;
  readonly timeZone: string;
}

function standing(it: Standing): MemberItem {
  const { row, landed, handed, minutes, done, today, timeZone } = it;
  const due = landed?.item ? dueDay(landed.item, row.until_day) : row.until_day;
  const take = takeState(handed && handedTake(handed, timeZone), due, today);
  const told = {
    itemId: row.id,
    leftOut: landed?.left_out ?? null,
    keptTheirs: landed?.kept_theirs ?? false,
    late: take.late,
    rating: take.rating,
    takeId: take.takeId,
    minutes,
  };
  if (!landed?.item) return { ...told, state: "left-out" };
  if (row.asked.bring !== "recording") {
    return { ...told, state: done > 0 ? "practised" : "not-practised" };
  }
  return { ...told, state: take.state };
}

/** The first day that the board shows: since the oldest item that runs was set. */
function firstDay(items: readonly GroupItemRow[], today: Day, timeZone: string): Day {
  const set = items.filter(({ until_day }) => until_day >= today);
  const since = set.map(({ set_at }) => dayOf(set_at.getTime(), timeZone)).toSorted()[0] ?? today;
  const back = Math.min(DAYS.most, Math.max(DAYS.least, daysBetween(since, today) + 1));
  return addDays(today, 1 - back);
}

/** On how many days it was done in weeks before the one that is on: by what those days asked. */
function doneBefore(
  item: AssignmentItem,
  happened: Happened,
  since: Day,
  now: readonly { readonly day: Day }[],
): number {
  const isNow = new Set(now.map(({ day }) => day));
  const asked = new Map(
    happened.asked.flatMap((row) =>
      row.item_id === item.id ? [[row.day, row.minutes] as const] : [],
    ),
  );
  const practised = practisedOf([item], happened.facts);
  return [...minutesOfItem(item, happened.facts.spent).keys()].filter(
    (day) =>
      day >= since &&
      !isNow.has(day) &&
      isDone(practised(item.id, day)!, asked.get(day) || item.minutes),
  ).length;
}

/** What a week asks beyond what its days have room for, and what of it falls out. */
function overfull(
  { notes }: Pick<ItemDays, "notes">,
  items: readonly AssignmentItem[],
): MemberLine["tooMuch"] {
  const note = notes.find(({ kind }) => kind === "too-much");
  if (note?.kind !== "too-much") return undefined;
  const out = notes.flatMap((each) => (each.kind === "falls-out" ? [each.itemId] : []));
  const falls = items.filter(({ id }) => out.includes(id)).map(({ title }) => title);
  return { asked: note.asked, there: note.laid, falls };
}

/** A group at a glance: who practised, what was handed in, and how what was set came to each. */
export async function groupBoard(services: Services, studioId: string, groupId: string) {
  const { db } = services;
  const [studio, group] = await Promise.all([
    studioById(db, studioId),
    groupById(db, studioId, groupId),
  ]);
  const today = todayIn(services, studio);
  const { items, landed, members } = await groupItemsOf(
    services,
    studioId,
    groupId,
    addDays(today, -SHOWN_AFTER),
  );
  const from = firstDay(items, today, studio.time_zone);
  const given = landed.flatMap(({ item }) => (item ? [item.id] : []));
  const setOn = items.map(({ set_at }) => dayOf(set_at.getTime(), studio.time_zone));
  const since = [from, ...setOn].toSorted()[0]!;
  const [weeks, hurt, handed, pieces, kept] = await Promise.all([
    weeksOfEach(db, studioId, members, { since, today }),
    whoIsHurt(db, studioId, today),
    handInsForItems(db, studioId, given),
    piecesForGroup(db, studioId, groupId),
    keptLadders(db, studioId),
  ]);
  const landedFor = new Map(
    landed.map((each) => [`${each.group_item_id} ${each.person_id}`, each]),
  );
  const handedFor = new Map(handed.map((each) => [each.item_id, each]));
  const lines = members.map((member): MemberLine => {
    const { happened: practised, stretches: laid, week } = weeks.get(member.id)!;
    const byDay = minutesOfDays(practised.facts.spent);
    const days = daysOf(from, addDays(today, 1)).map((day) => ({
      day,
      minutes: byDay.get(day) ?? 0,
    }));
    const now = laid.at(-1);
    return {
      ...{ id: member.id, name: member.name, instrument: member.instrument, days },
      minutes: days.reduce((sum, { minutes }) => sum + minutes, 0),
      hurt: hurt.has(member.id),
      tooMuch: now && overfull(now, week?.text.items ?? []),
      items: items.map((row) => {
        const theirs = landedFor.get(`${row.id} ${member.id}`);
        const since = dayOf(row.set_at.getTime(), studio.time_zone);
        const spent = theirs?.item ? [...minutesOfItem(theirs.item, practised.facts.spent)] : [];
        const minutes = spent.reduce((sum, [day, each]) => (day >= since ? sum + each : sum), 0);
        const hand = theirs?.item ? handedFor.get(theirs.item.id) : undefined;
        const days = laid.flatMap((each) => each.days).filter(({ day }) => day >= since);
        const done = theirs?.item
          ? doneOn(days, theirs.item.id).length + doneBefore(theirs.item, practised, since, days)
          : 0;
        const about = { row, landed: theirs, handed: hand, minutes, done };
        return standing({ ...about, today, timeZone: studio.time_zone });
      }),
    };
  });
  return {
    today,
    from,
    group: { id: group.id, name: group.name, kind: group.kind },
    lines,
    items: items.map(({ id, asked, until_day }): GroupItemTold => ({
      id,
      asked,
      until: until_day,
    })),
    pieces: pieces.map(({ id, title, bars, mark_bpm, mark_unit, played }) => ({
      ...{ id, title, bars, played },
      mark: { bpm: mark_bpm, unit: mark_unit },
    })),
    ladders: kept.map(({ id, name }) => ({ id, name })),
  };
}
