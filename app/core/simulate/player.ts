import {
  advance,
  currentBlock,
  endWellTempo,
  FLAWS,
  initialState,
  nextLoop,
  nextTempo,
  offersAnotherWay,
  rungNow,
  turnsIn,
  type BlockState,
  type Payload,
  type EventKind,
  type SessionEvent,
  type SessionPlan,
  type StandState,
} from "~/core/session";
import { loopSeconds } from "~/core/click";
import { chanceOf } from "~/core/cost";
import { bpm } from "~/core/units";
import type { Learner } from "./learner";
import { seededUuid, type Random } from "./random";

/** Whoever plays: how likely a play is clean, and how it then goes. */
export type Playing = Pick<Learner, "cleanAt" | "play">;

export interface Sitting {
  readonly plan: SessionPlan;
  /** Who plays each block, in order. */
  readonly learners: readonly Playing[];
  /** Milliseconds since 1970. */
  readonly startsAt: number;
  /** Minutes for each block, in order. */
  readonly minutes: readonly number[];
  /** Bars that go wrong more often than others. */
  readonly weakBars?: readonly number[];
  /** Says nothing of what went wrong. */
  readonly silent?: boolean;
  /** Share of the flaws that are told with their bar; half of them without. */
  readonly tells?: number;
  readonly note?: string;
  /** Stops for pain after so many minutes. */
  readonly painAfter?: number;
  readonly random: Random;
}

const EASY_CHANCE = 0.9;

const waitsForEase = (block: BlockState): boolean =>
  rungNow(block).gate.some(({ kind }) => kind === "easy") && !block.easy;

/** Someone at the stand: reads the state, plays, judges, and answers what the stand offers. */
class SimulatedPlayer {
  readonly events: SessionEvent[] = [];
  state: StandState;
  private at: number;

  constructor(private readonly sitting: Sitting) {
    this.state = initialState(sitting.plan);
    this.at = sitting.startsAt;
    this.emit("opened", {});
  }

  get minutesIn(): number {
    return (this.at - this.sitting.startsAt) / 60_000;
  }

  emit<K extends EventKind>(kind: K, payload: Payload<K>): string {
    const id = seededUuid(this.sitting.random);
    const event = { id, seq: this.events.length, at: Math.round(this.at), kind, payload };
    this.state = advance(this.state, this.events, event as SessionEvent);
    this.events.push(event as SessionEvent);
    return id;
  }

  wait(seconds: number): void {
    this.at += seconds * 1000;
  }

  private pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.sitting.random() * from.length)]!;
  }

  playOnce(learner: Playing): void {
    const { state: block } = currentBlock(this.state);
    const rung = rungNow(block);
    const tempo = nextTempo(this.state);
    const loop = nextLoop(this.state, undefined);
    const seconds = loopSeconds(loop);
    const turns = loop.turnsIn ? { turns: turnsIn(loop) } : {};
    const { fromBar, toBar } = block.segment;
    this.wait(seconds * 0.8);
    const play = this.emit("played", { tempo, seconds, fromBar, toBar, complete: true, ...turns });
    this.wait(seconds * 0.2);
    const { share, top } = this.state.plays.at(-1)!;
    const chance = chanceOf({ ...rung, tempo, share }, learner.cleanAt);
    const verdict = learner.play({ tempo: top, chance, effort: Math.min(1, share) });
    this.emit("judged", { play, verdict });
    const { silent, tells: often = 0.5 } = this.sitting;
    const tells = verdict === "flawed" && !silent && this.sitting.random() < often;
    if (tells) this.tell(play, fromBar, toBar);
    if (verdict === "clean" && chance > EASY_CHANCE && waitsForEase(block)) this.emit("eased", {});
  }

  /** Where it went wrong, and what. */
  private tell(play: string, fromBar: number, toBar: number): void {
    const weak = (this.sitting.weakBars ?? []).filter((bar) => bar >= fromBar && bar <= toBar);
    const anywhere = fromBar + Math.floor(this.sitting.random() * (toBar - fromBar + 1));
    const bar = weak.length && this.sitting.random() < 0.75 ? this.pick(weak) : anywhere;
    this.emit("detailed", { play, bar, what: this.pick(FLAWS) });
  }

  answer(): void {
    if (this.state.resting) {
      this.wait(this.state.resting.seconds);
      this.emit("rest-ended", {});
    }
    if (!offersAnotherWay(this.state)) return;
    // On the first rung it is tried again: only a person decides to go below what was set.
    if (currentBlock(this.state).state.rung > 0) this.emit("lowered", { steps: 1 });
    else this.emit("offer-declined", {});
  }

  private get isThrough(): boolean {
    const { toppedOut, left } = currentBlock(this.state).state;
    return toppedOut || left;
  }

  private outOfTime(blockEnds: number): boolean {
    return this.at >= blockEnds || this.hurts;
  }

  private get hurts(): boolean {
    return this.sitting.painAfter !== undefined && this.minutesIn >= this.sitting.painAfter;
  }

  run(): SessionEvent[] {
    this.sitting.plan.blocks.forEach((_, index) => {
      if (this.hurts) return;
      if (index > 0) this.emit("moved-on", {});
      const ends = this.at + this.sitting.minutes[index]! * 60_000;
      while (!this.outOfTime(ends) && !this.isThrough) {
        this.playOnce(this.sitting.learners[index]!);
        this.answer();
      }
    });
    this.finish();
    return this.events;
  }

  private finish(): void {
    if (this.sitting.note) this.emit("noted", { text: this.sitting.note });
    if (this.hurts) {
      this.emit("ended", { how: "pain" });
      return;
    }
    if (this.state.resting) this.emit("rest-ended", {});
    this.emit("end-well-began", { tempo: bpm(endWellTempo(this.state)) });
    this.playOnce(this.sitting.learners[this.state.blockIndex]!);
    this.emit("ended", { how: "ended-well" });
  }
}

/** The events of one whole sitting, made by the same reducer that the stand runs on. */
export const simulateSitting = (sitting: Sitting): SessionEvent[] =>
  new SimulatedPlayer(sitting).run();
