import { natureOf } from "~/core/ladder";
import {
  askedOf,
  doneOn,
  smaller,
  turned,
  type AssignmentItem,
  type ReviewedItem,
  type StandsAt,
  type TempoTold,
  type WentDay,
  minutesOfItem,
} from "~/core/week";
import type { Day } from "~/core/units";
import type { Assignment, Passage } from "~/db/queries";
import type { Happened } from "../../plan/week-plan";
import { standingOf } from "../../plan/standing";
import { stateOf } from "../../plan/passage-line";

const MOST_FLAWED_BARS = 3;
/** What a week gains when nothing is known: a twentieth. */
const USUAL_GAIN = 1.05;

interface Inputs {
  readonly week: Assignment;
  readonly happened: Happened;
  readonly passages: readonly Passage[];
  readonly flaws: readonly {
    readonly pieceId: string;
    readonly bars: readonly { readonly bar: number; readonly flawed: number }[];
  }[];
  /** How evenly passages lay day by day, the earliest first. */
  readonly evenness: readonly {
    readonly passage_id: string;
    readonly day: Day;
    readonly spread: number;
  }[];
  readonly today: Day;
  /** On which day the next week begins. */
  readonly next: Day;
  /** Last week came to so little that the next is smaller on purpose. */
  readonly weak: boolean;
  /** Something hurt, and the player has not said that it is over. */
  readonly hurts: boolean;
  /** Its days, as they asked and as they went. */
  readonly days: readonly WentDay[];
}

/** First start and best tempo of a passage over some days: the fastest passed, else worked at. */
function tempoOf(rows: Happened["played"]): TempoTold | undefined {
  const first = rows[0];
  if (!first) return undefined;
  const passed = rows.flatMap(({ reached }) => reached ?? []);
  const best = passed.length > 0 ? passed : rows.map(({ end_tempo }) => end_tempo);
  return { from: first.first_tempo, to: Math.max(...best), passed: passed.length > 0 };
}

/** The week lasts until the lesson, be it early or late. */
export const within = (day: Day, { week, today }: Pick<Inputs, "week" | "today">): boolean =>
  day >= week.from_day && day < (today > week.until_day ? today : week.until_day);

function reviewed(
  item: AssignmentItem,
  inputs: Inputs,
  laid: ReadonlyMap<string, number> | undefined,
): ReviewedItem {
  const { happened, passages, flaws, evenness } = inputs;
  const byDay = [...minutesOfItem(item, happened.facts.spent)].filter(([day]) =>
    within(day, inputs),
  );
  const passage = passages.find(({ id }) => id === item.passageId);
  const rows = happened.played.filter(
    ({ passage_id, day }) => passage_id === item.passageId && within(day, inputs),
  );
  const sum = (of: (row: (typeof rows)[number]) => number) =>
    rows.reduce((total, row) => total + of(row), 0);
  const inBars = flaws
    .find(({ pieceId }) => pieceId === passage?.pieceId)
    ?.bars.filter(({ bar }) => passage && bar >= passage.fromBar && bar <= passage.toBar);
  const safe = passage !== undefined && stateOf(passage, inputs.today) === "safe";
  return {
    ...item,
    asked: askedOf(inputs.days, item.id).filter((minutes) => minutes > 0).length,
    doneOn: doneOn(inputs.days, item.id).length,
    days: byDay.length,
    done: byDay.reduce((total, [, minutes]) => total + minutes, 0),
    tempo: tempoOf(rows),
    clean: rows.length > 0 ? { clean: sum((r) => r.clean), plays: sum((r) => r.plays) } : undefined,
    even: evenness.findLast(
      ({ passage_id, day }) => passage_id === item.passageId && within(day, inputs),
    )?.spread,
    flawedBars: (inBars ?? []).toSorted((a, b) => b.flawed - a.flawed).slice(0, MOST_FLAWED_BARS),
    lowered: inputs.hurts ? undefined : loweredFrom(item, passage, rows, inputs.today),
    raise: inputs.hurts ? undefined : raiseFor(item, passage, rows, inputs.today),
    suggested: safe || (item.passageId !== null && !passage) ? "finished" : "carried",
    next:
      item.passageId !== null && !passage ? undefined : nextItem(item, passage, rows, inputs, laid),
  };
}

/** Last week item by item, with what was said and asked along the way. */
export function reviewItems(inputs: Inputs) {
  const { week, happened } = inputs;
  // What was said today, before the lesson, belongs to it.
  const sessions = happened.sessions.filter(({ day }) => day >= week.from_day);
  const ratings = new Map<string, { yes: number; partly: number; no: number }>();
  for (const { ratings: given } of sessions) {
    for (const [what, answer] of Object.entries(given)) {
      const tally = ratings.get(what) ?? { yes: 0, partly: 0, no: 0 };
      if (answer === "yes" || answer === "partly" || answer === "no") tally[answer]++;
      ratings.set(what, tally);
    }
  }
  const laid = inputs.weak ? laidMinutes(inputs) : undefined;
  return {
    items: week.text.items.map((item) => reviewed(item, inputs, laid)),
    notes: sessions.flatMap(({ day, notes }) => notes.map((text) => ({ day, text }))),
    feelings: sessions.flatMap(({ day, feeling, ended }) => {
      const felt = ended === "pain" ? "painful" : feeling;
      return felt && felt !== "fine" ? [{ day, feeling: felt }] : [];
    }),
    ratings: [...ratings].map(([what, tally]) => ({ what, ...tally })),
  };
}

/**
 * The tempo to aim at next: as much again as the week gained, or a twentieth, up to the target, and
 * no higher than where it breaks today.
 */
function nextGoalTempo(
  passage: Passage,
  tempo: ReturnType<typeof tempoOf>,
  today: Day,
): number | null {
  if (!passage.ladder) return null;
  const { target, phases } = passage.ladder;
  // Where the tempo stays there is no other to aim at.
  if (phases.every(({ school }) => natureOf(school.name).tempo === "stays")) return target;
  const now = tempo?.to ?? passage.reached ?? passage.ladder.start;
  const gained = tempo ? tempo.to - tempo.from : 0;
  const standing = standingOf(passage, today);
  const ceiling = standing?.ceilingMet ? Math.max(now, Math.floor(standing.ceiling.value)) : target;
  return Math.min(target, ceiling, Math.round(Math.max(now + gained, now * USUAL_GAIN)));
}

/** A higher tempo is offered, and never set by itself. */
function raiseFor(
  { goalTempo }: AssignmentItem,
  passage: Passage | undefined,
  rows: Happened["played"],
  today: Day,
): number | undefined {
  const next = passage && nextGoalTempo(passage, tempoOf(rows), today);
  return next && next > (goalTempo ?? 0) ? Math.round(next) : undefined;
}

/** After a stop for pain nothing is asked that isn't surely comfortable. */
function easyTempo(goalTempo: number | null, passage: Passage, today: Day): number | null {
  const start = passage.ladder?.start ?? null;
  const easy = standingOf(passage, today)?.comfortable.value ?? start;
  if (goalTempo === null || easy === null) return goalTempo;
  return Math.min(goalTempo, Math.max(10, Math.floor(easy)));
}

function carriedTempo(
  { goalTempo }: AssignmentItem,
  passage: Passage,
  rows: Happened["played"],
  { hurts, today }: Inputs,
): number | null {
  if (hurts) return easyTempo(goalTempo, passage, today);
  const next = nextGoalTempo(passage, tempoOf(rows), today);
  return goalTempo === null || next === null ? goalTempo : Math.min(goalTempo, next);
}

/** Nothing is asked slower than before without its reason. */
function loweredFrom(
  { goalTempo }: AssignmentItem,
  passage: Passage | undefined,
  rows: Happened["played"],
  today: Day,
): ReviewedItem["lowered"] {
  const tempo = tempoOf(rows);
  const next = passage && nextGoalTempo(passage, tempo, today);
  if (goalTempo === null || !next || next >= goalTempo) return undefined;
  const at = (how: StandsAt["how"], now: number) => ({ how, tempo: Math.round(now) });
  if (tempo) return at(tempo.passed ? "passed" : "worked-at", tempo.to);
  const { reached, ladder } = passage;
  return reached === null ? at("starts", ladder!.start) : at("passed", reached);
}

/** The most minutes that a day of a week has asked of each item: a full one squeezes them. */
const laidMinutes = ({ week, days }: Inputs): ReadonlyMap<string, number> =>
  new Map(
    week.text.items.flatMap(({ id }) => {
      const most = Math.max(0, ...askedOf(days, id));
      return most > 0 ? [[id, most] as const] : [];
    }),
  );

const nextItem = (
  item: AssignmentItem,
  passage: Passage | undefined,
  rows: Happened["played"],
  inputs: Inputs,
  laid: ReadonlyMap<string, number> | undefined,
): AssignmentItem => ({
  ...item,
  goalTempo: passage ? carriedTempo(item, passage, rows, inputs) : item.goalTempo,
  minutes: inputs.hurts
    ? Math.ceil(item.minutes / 2)
    : laid
      ? smaller(laid.get(item.id) ?? item.minutes)
      : item.minutes,
  keptLadderId: null,
  // Another week, another key: by the calendar, whether there was a lesson in each or not.
  keys: turned(item.keys, inputs.week.from_day, inputs.next),
  // A day that is over by the lesson is no day any more: it is due at the next one.
  due: item.due !== null && item.due > inputs.next ? item.due : null,
  since: null,
  until: null,
  origin: "carried",
  decision: "open",
});
