import { loopSeconds, playingSeconds } from "~/core/click";
import { chanceOf, type CleanAt } from "~/core/cost";
import {
  advance,
  currentBlock,
  initialState,
  loopOf,
  nextLoop,
  offersAnotherWay,
  rungNow,
  turnsIn,
  type EventKind,
  type Heard,
  type Payload,
  type SessionEvent,
  type SessionPlan,
  type StandState,
} from "~/core/session";
import type { Random } from "./random";

interface Sitting {
  readonly plan: SessionPlan;
  readonly cleanAt: CleanAt;
  readonly random: Random;
  /** After so many seconds it is left where it is. */
  readonly most?: number;
}

/** How a sitting came out. */
export interface Sat {
  readonly seconds: number;
  /** The gate of the last rung has passed. */
  readonly through: boolean;
  readonly state: StandState;
}

/**
 * One block played through the stand's own reducer, in the time that its loops really take:
 * verdicts are drawn, offers declined, every flaw told with its bar where the ladder cuts around
 * them. What a cost is told by is held against this.
 */
export function sitThrough({ plan, cleanAt, random, most = Infinity }: Sitting): Sat {
  let state = initialState(plan);
  let seconds = 0;
  let heard: Heard | undefined;
  let follows = false;
  let seq = 0;
  /** Seconds of the latest loop where it follows one of the same. */
  let again = 0;
  const emit = <K extends EventKind>(kind: K, payload: Payload<K>): string => {
    const id = `${seq}`;
    const event = { id, seq: seq++, at: Math.round(seconds * 1000), kind, payload };
    state = advance(state, [], event as unknown as SessionEvent);
    return id;
  };
  const play = (): string => {
    const request = nextLoop(state, heard, follows);
    const { tempo } = request.plays[0];
    const { fromBar, toBar } = currentBlock(state).state.segment;
    const lasts = loopSeconds(request);
    again = loopSeconds({ ...request, first: false });
    seconds += lasts;
    heard = { tempo, of: loopOf(state) };
    follows = true;
    return emit("played", {
      ...{ tempo, fromBar, toBar, complete: true, seconds: lasts },
      playing: playingSeconds(request),
      turns: turnsIn(request),
    });
  };
  while (seconds < most) {
    const { plan: block, state: at } = currentBlock(state);
    if (at.toppedOut || at.left) break;
    if (state.resting) {
      seconds += state.resting.seconds;
      emit("rest-ended", {});
      follows = false;
      continue;
    }
    if (offersAnotherWay(state)) {
      emit("offer-declined", {});
      follows = false;
      continue;
    }
    const rung = rungNow(at);
    const before = loopOf(state);
    const id = play();
    const { share, tempo } = state.plays.at(-1)!;
    const clean = random() < chanceOf({ ...rung, tempo, share }, cleanAt);
    emit("judged", { play: id, verdict: clean ? "clean" : "flawed" });
    if (!clean && block.ladder.afterFlawed.then === "cut") {
      const { fromBar, toBar } = state.plays.at(-1)!;
      emit("detailed", { play: id, bar: fromBar + Math.floor(random() * (toBar - fromBar + 1)) });
    }
    const { toppedOut, left } = currentBlock(state).state;
    const goesOn = loopOf(state) === before && !toppedOut && !left && !state.resting;
    const inTime = rung.click.breather.kind === "in-time";
    // Going on in time, the play that is on when the rung is decided is finished all the same.
    if (inTime && (!goesOn || offersAnotherWay(state))) seconds += again;
  }
  const { toppedOut } = currentBlock(state).state;
  return { seconds, through: toppedOut, state };
}
