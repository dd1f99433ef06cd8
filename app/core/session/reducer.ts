import { isByClock, type Verdict } from "~/core/gate";
import { unreachable } from "~/core/result";
import {
  again,
  atTempo,
  counting,
  firming,
  gatePassed,
  clockMovedOn,
  falling,
  lowering,
  narrowing,
  openBlock,
  progressNow,
  redrawn,
  skipping,
} from "./block";
import { answered } from "./between";
import type { Flaw, Payload, SessionEvent } from "./events";
import { shareOf } from "./extent";
import { fastTempo } from "./loop";
import { isLastPart, partsOf, taskNow } from "./parts";
import type { SessionPlan } from "./plan";
import {
  barsWhereItFailed,
  currentBlock,
  layerNow,
  offersAnotherWay,
  playsAnything,
  rungNow,
  type BlockState,
  type Play,
  type StandState,
} from "./state";
import { askedAgain, effective } from "./undone";

/** A longer gap between two events is time away from the stand and counts for nothing. */
const LONGEST_ACTIVE_GAP_SECONDS = 180;

/** The stand before anything happened. */
export const initialState = (plan: SessionPlan): StandState => ({
  plan,
  part: 0,
  blockIndex: 0,
  taskSeconds: {},
  blocks: plan.blocks.map(openBlock),
  plays: [],
  advised: {},
  notes: [],
  questions: [],
  ratings: {},
});

const withBlock = (state: StandState, block: BlockState): StandState => ({
  ...state,
  blocks: state.blocks.with(state.blockIndex, block),
});

/** Leaves out keys, so that "not there" stays different from "undefined". */
function without<K extends keyof StandState>(state: StandState, ...keys: K[]): Omit<StandState, K> {
  const rest: Partial<StandState> = { ...state };
  for (const key of keys) Reflect.deleteProperty(rest, key);
  return rest as Omit<StandState, K>;
}

function passTime(state: StandState, at: number): StandState {
  const gap = state.lastAt === undefined ? 0 : (at - state.lastAt) / 1000;
  const task = taskNow(state);
  if (task && !state.ended) {
    // Nothing happens on the page during a task: it counts as long as it took, at most as planned;
    // whoever comes back much later was away.
    const before = state.taskSeconds[state.part] ?? 0;
    const planned = task.minutes * 60;
    const there = gap > 0 && gap <= planned + LONGEST_ACTIVE_GAP_SECONDS;
    const seconds = Math.min(planned, before + (there ? gap : 0));
    return { ...state, taskSeconds: { ...state.taskSeconds, [state.part]: seconds }, lastAt: at };
  }
  if (!playsAnything(state)) return { ...state, lastAt: at };
  const active = gap > 0 && gap <= LONGEST_ACTIVE_GAP_SECONDS && !state.ended ? gap : 0;
  const { state: block } = currentBlock(state);
  const activeSeconds = block.activeSeconds + active;
  return { ...withBlock(state, { ...block, activeSeconds }), lastAt: at };
}

function played(state: StandState, event: SessionEvent & { kind: "played" }): StandState {
  const { id, at } = event;
  const { spread, ...payload } = event.payload;
  const { plan, state: block } = currentBlock(state);
  const rung = rungNow(block);
  const task = layerNow(state);
  const endingWell = state.endingWell !== undefined;
  const play: Play = {
    id,
    at,
    blockIndex: state.blockIndex,
    rung: block.rung,
    top: endingWell ? payload.tempo : fastTempo(rung, payload.tempo),
    cycle:
      rung.cycle && !endingWell
        ? { base: payload.tempo, slow: rung.cycle.slow, fast: rung.cycle.fast }
        : undefined,
    share:
      (block.extent === "rung" && !endingWell ? rung.share : shareOf(plan, block.segment)) *
      plan.shareOfPassage *
      (payload.turns ?? 1),
    layer: task && !task.full ? task.name : undefined,
    key: task?.kind === "key" ? task.name : undefined,
    endingWell,
    ...payload,
    ...(spread === undefined ? {} : { measured: { ...NOT_TOLD, source: "taps", spread } }),
  };
  if (isByClock(rung.gate) && !endingWell && !payload.uncounted) return playedByClock(state, play);
  const plays = [...state.plays, play];
  // What only was finished is not asked about, and a rest begins after it.
  if (payload.uncounted) {
    const { resting } = state;
    return { ...state, plays, ...(resting ? { resting: { ...resting, since: at } } : {}) };
  }
  return { ...without(state, "detailable", "alsoPending"), plays, pending: id };
}

/** By the clock nothing is asked and nothing is passed: it goes on when the time has come. */
function playedByClock(before: StandState, play: Play): StandState {
  const plays = [...before.plays, { ...play, byClock: true as const }];
  const state = { ...without(before, "detailable"), plays };
  const { plan, state: block } = currentBlock(state);
  if (!play.complete || !isOfRung(state, play) || block.toppedOut) return state;
  const { id, seconds, playing } = play;
  // Nobody has judged it: it is none of the clean ones.
  const counted = counting(block, { play: id, verdict: "flawed", seconds, playing });
  const kept = { ...counted, flawedOnRung: block.flawedOnRung };
  if (!progressNow(kept).passed) return withBlock(state, kept);
  const { rest } = rungNow(block);
  const next = withBlock(state, clockMovedOn(plan, kept));
  const goesOn = !currentBlock(next).state.toppedOut;
  return goesOn && rest > 0 ? { ...next, resting: { since: play.at, seconds: rest } } : next;
}

/** A rest after a rung that was passed, where the ladder says so. */
function moveOnUp(state: StandState): StandState {
  const { plan, state: block } = currentBlock(state);
  const { rest } = rungNow(block);
  const moved = gatePassed(plan, block);
  const next = withBlock(state, moved);
  // A nudged tempo passes and goes on to its own rung: that is a step up as well.
  const climbed = moved.passed.length > block.passed.length && !moved.toppedOut;
  return climbed && rest > 0 ? { ...next, resting: { since: state.lastAt!, seconds: rest } } : next;
}

/** After so many flawed plays: at once what the ladder says, or an offer where it says "ask". */
function anotherWay(state: StandState): StandState {
  if (!offersAnotherWay(state)) return state;
  const { plan, state: block } = currentBlock(state);
  const { then, steps, seconds } = plan.ladder.afterFlawed;
  switch (then) {
    case "ask":
      return state;
    case "lower":
      return withBlock(state, falling(plan, block, steps));
    case "cut": {
      // Nobody has said where: then it is asked after all.
      const where = barsWhereItFailed(state);
      return where ? withBlock(state, narrowing(plan, block, where)) : state;
    }
    case "rest": {
      const rested = withBlock(state, { ...block, flawedOnRung: 0, tense: 0 });
      return { ...rested, resting: { since: state.lastAt!, seconds } };
    }
    case "leave":
      return withBlock(state, { ...block, left: true });
    default:
      return unreachable(then);
  }
}

/** Whether a play was one of the rung that is on, as it is played now. */
function isOfRung(state: StandState, play: Play): boolean {
  const { state: block } = currentBlock(state);
  const { segment } = block;
  return (
    !play.endingWell &&
    play.blockIndex === state.blockIndex &&
    play.rung === block.rung &&
    play.tempo === block.tempo &&
    play.fromBar === segment.fromBar &&
    play.toBar === segment.toBar
  );
}

function count(state: StandState, play: Play, verdict: Verdict): StandState {
  const { state: block } = currentBlock(state);
  if (play.byClock || !isOfRung(state, play) || block.toppedOut) return state;
  const { id, seconds, playing, measured } = play;
  const judgedPlay = { play: id, verdict, seconds, playing, spread: measured?.spread };
  const counted = withBlock(state, counting(block, judgedPlay));
  return progressNow(currentBlock(counted).state).passed ? moveOnUp(counted) : anotherWay(counted);
}

/** What an earlier form did not tell. */
const NOT_TOLD = { bias: null, met: null, missed: null, extra: null } as const;

/** How a play lay may be known before its verdict or after: then its gate looks at it again. */
function measured(
  state: StandState,
  { play: id, source, bias, spread, met, ...told }: Payload<"measured">,
): StandState {
  const index = state.plays.findLastIndex((each) => each.id === id);
  const play = state.plays[index];
  if (!play) return state;
  const plays = state.plays.with(index, {
    ...play,
    measured: {
      ...{ source, bias, spread, met },
      missed: told.missed ?? null,
      extra: told.extra ?? null,
    },
  });
  const { state: block } = currentBlock(state);
  const at = block.counted.findLastIndex((each) => each.play === id);
  if (at < 0 || block.toppedOut) return { ...state, plays };
  const counted = block.counted.with(at, { ...block.counted[at]!, spread });
  const known = withBlock({ ...state, plays }, { ...block, counted });
  return progressNow(currentBlock(known).state).passed ? moveOnUp(known) : known;
}

/** The plays that wait for a verdict, in the order in which they are asked about. */
const openPlays = ({ pending, alsoPending = [] }: StandState): readonly string[] =>
  pending === undefined ? [] : [pending, ...alsoPending];

/** Asks about these plays, one after the other; what was told of a flawed one is told. */
function asking(state: StandState, [pending, ...also]: readonly string[]): StandState {
  const rest = without(state, "pending", "alsoPending", "detailable");
  if (pending === undefined) return rest;
  return { ...rest, pending, ...(also.length > 0 ? { alsoPending: also } : {}) };
}

function judged(state: StandState, { play: id, verdict }: Payload<"judged">): StandState {
  // From the end: it is nearly always the latest play.
  const index = state.plays.findLastIndex((each) => each.id === id);
  const play = state.plays[index];
  if (!play || play.verdict) return state;
  const plays = state.plays.with(index, { ...play, verdict });
  const known = {
    ...asking(
      state,
      openPlays(state).filter((each) => each !== id),
    ),
    plays,
  };
  const open = verdict === "flawed" ? { ...known, detailable: id } : known;
  return count(open, play, verdict);
}

function detailed(state: StandState, { play: id, ...said }: Payload<"detailed">): StandState {
  const { bar, what } = said;
  const plays = state.plays.map((play) => {
    if (play.id !== id) return play;
    // A beat is one of its bar: another bar has not been told on a beat yet.
    const { beat, ...others } = play;
    const kept = beat !== undefined && (bar === undefined || bar === play.bar) ? play : others;
    return {
      ...kept,
      ...(bar === undefined ? {} : { bar }),
      ...(said.beat === undefined ? {} : { beat: said.beat }),
      ...(what === undefined ? {} : { what }),
    };
  });
  const told = notingTension({ ...state, plays }, id, what);
  // To cut around the flawed bars, one has to know them: now they may be known.
  const waits = currentBlock(state).plan.ladder.afterFlawed.then === "cut";
  return waits ? anotherWay(told) : told;
}

/** Tension at a play of the present rung is counted once. */
function notingTension(state: StandState, id: string, what: Flaw | undefined): StandState {
  const { state: block } = currentBlock(state);
  const play = state.plays.find((each) => each.id === id);
  if (what !== "tension" || play?.rung !== block.rung || play.blockIndex !== state.blockIndex) {
    return state;
  }
  const tense = state.plays.filter(
    (each) =>
      each.blockIndex === state.blockIndex && each.rung === block.rung && each.what === "tension",
  ).length;
  return withBlock(state, { ...block, tension: true, tense: Math.min(tense, block.tense + 1) });
}

function eased(state: StandState): StandState {
  const { state: block } = currentBlock(state);
  if (block.toppedOut) return state;
  const said = withBlock(state, { ...block, easy: true });
  return progressNow(currentBlock(said).state).passed ? moveOnUp(said) : said;
}

/** On to the next part, if there is one; a block among them is the one that is played then. */
function nextPart(state: StandState): StandState {
  const quiet = without(state, "pending", "alsoPending", "detailable", "resting");
  if (isLastPart(state)) return quiet;
  const part = state.part + 1;
  const blockIndex = partsOf(state.plan)[part]!.block ?? state.blockIndex;
  return { ...quiet, part, blockIndex };
}

const ABOUT_PLAYING: ReadonlySet<SessionEvent["kind"]> = new Set([
  "played",
  "measured",
  "judged",
  "detailed",
  "eased",
  "paced",
  "tempo-set",
  "redrawn",
  "repeated",
  "skipped",
  "lowered",
  "narrowed",
  "firmed",
  "offer-declined",
  "rest-began",
  "end-well-began",
]);

/** One event. `undone` is not among them: it is dealt with before, in {@link replay}. */
function step(state: StandState, event: Exclude<SessionEvent, { kind: "undone" }>): StandState {
  // Without anything to play, what only belongs to playing changes nothing.
  if (!playsAnything(state) && ABOUT_PLAYING.has(event.kind)) return state;
  const { plan, state: block } = currentBlock(state);
  switch (event.kind) {
    case "opened":
      return state;
    case "played":
      return played(state, event);
    case "measured":
      return measured(state, event.payload);
    case "judged":
      return judged(state, event.payload);
    case "detailed":
      return detailed(state, event.payload);
    case "eased":
      return eased(state);
    case "paced":
      return withBlock(state, { ...block, pace: event.payload });
    case "tempo-set":
      return withBlock(state, atTempo(block, event.payload.tempo));
    case "redrawn":
      return withBlock(state, redrawn(plan, block, event.payload));
    case "repeated":
      return withBlock(state, again(block));
    case "skipped":
      return withBlock(state, skipping(plan, block));
    case "lowered":
      return answered(withBlock(state, lowering(plan, block, event.payload.steps)));
    case "narrowed":
      return withBlock(state, narrowing(plan, block, event.payload));
    case "firmed":
      return withBlock(state, firming(plan, block, event.payload));
    case "offer-declined":
      if (event.payload.of) return answered(state, [event.payload.of]);
      return withBlock(state, { ...block, flawedOnRung: 0, tense: 0 });
    case "rest-began": {
      const resting = { since: event.at, seconds: event.payload.seconds };
      return { ...withBlock(state, { ...block, flawedOnRung: 0, tense: 0 }), resting };
    }
    case "rest-ended":
      return without(state, "resting");
    case "noted":
      return { ...state, notes: [...state.notes, event.payload.text] };
    case "asked":
      return { ...state, questions: [...state.questions, event.payload.text] };
    case "rated": {
      const { what, answer } = event.payload;
      return { ...state, ratings: { ...state.ratings, [what]: answer } };
    }
    case "felt":
      return { ...state, feeling: event.payload.feeling };
    case "moved-on":
      return nextPart(state);
    case "part-ended":
      return event.payload.part === state.part && taskNow(state) ? nextPart(state) : state;
    case "end-well-began":
      return {
        ...without(state, "resting", "pending", "alsoPending"),
        endingWell: event.payload.tempo,
      };
    case "ended":
      return { ...without(state, "resting", "endingWell"), ended: event.payload.how };
    default:
      return unreachable(event);
  }
}

/** The stand after all the events, in order of `seq`. */
export function replay(plan: SessionPlan, events: readonly SessionEvent[]): StandState {
  const state = effective(events).reduce(
    (before, event) => step(passTime(before, event.at), event),
    initialState(plan),
  );
  const again = askedAgain(events);
  if (again.size === 0) return state;
  const open = state.plays.filter(
    ({ id, byClock }) => !byClock && (again.has(id) || openPlays(state).includes(id)),
  );
  const { detailable } = state;
  const asks = asking(
    state,
    open.map(({ id }) => id),
  );
  return detailable === undefined ? asks : { ...asks, detailable };
}

/** The next state when one more event comes in; the same as replaying all of them. */
export function advance(
  state: StandState,
  earlier: readonly SessionEvent[],
  event: SessionEvent,
): StandState {
  if (event.kind === "undone") return replay(state.plan, [...earlier, event]);
  return step(passTime(state, event.at), event);
}
