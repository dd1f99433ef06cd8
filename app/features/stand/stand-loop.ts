import {
  currentBlock,
  loopOf,
  nextLoop,
  nextTempo,
  type EventKind,
  type Payload,
  type StandState,
} from "~/core/session";
import type { Verdict } from "~/core/gate";
import type { MarkerPassed } from "~/audio/engine";
import { Ledger } from "./ledger";
import { Mark } from "./mark";
import { followsInTime, isInTime, noVerdictOf, waitsInTime } from "./in-time";
import { LoopSound, type Loop } from "./loop-sound";
import { PlayAlong } from "./play-along";
import { playedOf } from "./played";
import type { TakeChoice } from "./take-choice";
import { Takes } from "./takes";
import { TappedAlong } from "./tapped-along";
import { NERVOUS_MS, PAUSE_SECONDS, RESTART_SECONDS, type RunnerOptions } from "./runner-options";
import { canPlayOn, questionOf, type StandView, type Transport } from "./view";

/**
 * Runs the loop of the stand: sends each loop's beat map ahead, writes what was played, asks for
 * the verdict, moves on. It decides nothing about when a click sounds.
 */
export class StandLoop {
  protected readonly ledger: Ledger;
  protected turn: Promise<unknown> = Promise.resolve();
  protected readonly listeners = new Set<() => void>();
  protected view: StandView;
  protected transport: Transport = "stopped";
  protected early = false;
  protected judgedAt = 0;
  protected ready = false;
  protected readonly sound = new LoopSound();
  protected readonly taps = new TappedAlong();
  readonly takes: Takes;
  readonly along: PlayAlong;
  /** The verdict that was pressed and is being written: seen at once, counted when it is on disk. */
  readonly marked = new Mark<Verdict | undefined>(undefined);
  /** The notes are hidden, and nobody has looked since the last play. */
  protected fromMemory = false;
  /** Leaving was asked for, and a slow correct play is offered first. */
  protected leaving = false;
  protected restTimer: ReturnType<typeof setTimeout> | undefined;

  constructor(protected readonly options: RunnerOptions) {
    this.ledger = new Ledger({ ...options, onChange: () => this.changed() });
    this.takes = new Takes((takeId) => options.url.replace(/events$/, `takes/${takeId}`));
    this.sound.quiet = () => this.takes.quiet;
    this.along = new PlayAlong(options.along, options.alongAddress, options.volume);
    this.sound.onSilence = () => this.along.stop();
    this.view = this.currentView();
  }

  /** Whether something that was pressed or played is not on disk yet. */
  get writing(): Mark<boolean> {
    return this.ledger.writing;
  }

  protected get state(): StandState {
    return this.ledger.state;
  }

  protected currentView(): StandView {
    const { transport, early, ready, leaving } = this;
    const { state, events, sending, keeps } = this.ledger;
    return { state, events, transport, early, sending, keeps, ready, leaving };
  }

  protected changed(): void {
    this.view = this.currentView();
    for (const listener of this.listeners) listener();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): StandView => this.view;

  protected go(transport: Transport): void {
    this.transport = transport;
    this.changed();
  }

  async open(): Promise<void> {
    await this.ledger.open();
    this.ready = true;
    this.changed();
  }

  protected write<K extends EventKind>(kind: K, payload: Payload<K>): Promise<string> {
    return this.ledger.append(kind, payload);
  }

  /**
   * One thing after the other: what the engine reports and what the player presses is dealt with
   * in the order in which it came, each on the state that the one before has left.
   */
  protected inOrder(work: () => unknown): Promise<void> {
    const done = this.turn.then(async () => void (await work()));
    this.turn = done.catch(() => undefined);
    return done;
  }

  /** Start, or go on after a pause or a reload. */
  start = () => this.inOrder(() => this.startNow());

  protected async startNow(): Promise<void> {
    // A second press finds the loop running and must not lay another one over it.
    if (!this.ready || this.state.ended || this.transport !== "stopped") return;
    await this.openSound();
    if (this.ledger.events.length === 0) await this.write("opened", {});
    if (this.state.resting) await this.write("rest-ended", {});
    if (questionOf(this.state, this.transport) === "task") return;
    if (this.state.pending) return this.go("asking");
    this.playFrom(0);
  }

  private openSound(): Promise<void> {
    const onMarker = (passed: MarkerPassed) => void this.inOrder(() => this.onMarker(passed));
    return this.sound.open(this.options.volume, onMarker);
  }

  /** Records the next play; from a press, since it may open the sound. */
  record = async (choice: TakeChoice): Promise<void> => {
    await this.openSound();
    await this.takes.arm(this.sound.opened!, choice);
  };

  /** Has the player clap along; from a press, since it may open the sound. */
  clapAlong = async (choice: TakeChoice): Promise<boolean> => {
    await this.openSound();
    return this.takes.clapAlong(this.sound.opened!, choice);
  };

  /** Turns the teacher's playing on or off; from a press, since it may open the sound. */
  playAlong = async (on: boolean): Promise<void> => {
    await this.openSound();
    const { passageId } = currentBlock(this.state).plan;
    await this.along.turn(on, this.sound.opened!, this.sound.heard, passageId);
  };

  pause(): void {
    this.silence();
    this.go(this.state.pending ? "asking" : "stopped");
  }

  protected silence(): void {
    clearTimeout(this.restTimer);
    this.sound.stop();
    if (this.transport === "count-in" || this.transport === "play") this.takes.cancel();
    this.early = false;
  }

  /** Sends the next loop ahead, to begin at a time of the audio context. */
  protected playFrom(at: number, follows = false): void {
    const loop = this.sendNext(at, follows);
    if (!loop) return;
    this.sound.drone(loop.request.click.drone);
    if (this.transport === "breather") this.sound.next = loop;
    else this.begin(loop);
  }

  private sendNext(at: number, follows: boolean): Loop | undefined {
    const request = nextLoop(this.state, this.sound.last, follows);
    const { segment } = currentBlock(this.state).state;
    return this.sound.send(request, { of: loopOf(this.state), segment }, at);
  }

  protected begin(loop: Loop): void {
    this.sound.begin(loop);
    this.taps.clear();
    this.takes.begin(loop);
    this.along.begin(loop, currentBlock(this.state).plan.passageId);
    this.transport = loop.scheduled.map.bars[0]!.part === "play" ? "play" : "count-in";
    if (isInTime(this.state)) this.follow();
    this.changed();
  }

  /**
   * Going on in time, what comes after the play that is on is sent ahead as soon as it is known:
   * the same again without a gap, or another rung with its cue and count-in.
   */
  protected follow(): void {
    this.sound.dropNext();
    if (followsInTime(this.state)) this.sound.next = this.sendNext(this.sound.endsAt, true);
    this.changed();
  }

  /** A verdict, or its undoing, that came while the next play is on: that one is finished. */
  protected get playsOnInTime(): boolean {
    return isInTime(this.state) && this.transport === "play";
  }

  protected async onMarker({ scheduled, name }: MarkerPassed): Promise<void> {
    if (scheduled.mapId !== this.sound.heard?.scheduled.mapId) return;
    if (name === "play-began" && this.transport !== "play") this.go("play");
    if (name === "play-ended") await this.playEnded(true);
    if (name === "map-ended") this.mapEnded();
  }

  protected async playEnded(complete: boolean): Promise<void> {
    const { heard, gone } = this.sound;
    if (!heard) return;
    const { map } = heard.scheduled;
    const spread = complete ? this.taps.spread(map) : undefined;
    const early = this.early;
    this.early = false;
    // Its rung was decided while it was played, or another play waits for its verdict.
    const decided = heard.of !== loopOf(this.state) || !canPlayOn(this.state);
    const uncounted = isInTime(this.state) && (decided || waitsInTime(this.state));
    this.transport = "breather";
    const { plan, state } = currentBlock(this.state);
    const id = await this.write("played", {
      ...playedOf(heard, complete ? undefined : gone),
      ...(spread === undefined ? {} : { spread }),
      ...(uncounted ? { uncounted } : {}),
      ...(this.fromMemory ? { fromMemory: true } : {}),
    });
    const { passageId: passage } = plan;
    this.takes.played({ id, passage, tempo: heard.tempo, rung: state.rung });
    if (early) await this.judgeNow("clean");
  }

  protected mapEnded(): void {
    if (this.sound.next) return this.begin(this.sound.next);
    if (this.transport !== "breather") return;
    if (this.state.resting) return this.rest();
    const { pending } = this.state;
    const again = pending !== undefined && noVerdictOf(this.state) === "again";
    if (again && isInTime(this.state)) return this.pauseThenPlay();
    if (again || (canPlayOn(this.state) && !pending)) {
      this.transport = "stopped";
      return this.playFrom(0);
    }
    this.sound.drone(null);
    this.go(pending ? "asking" : "stopped");
  }

  /** Going on in time, whoever has given no verdict is asked again in a breather. */
  private pauseThenPlay(): void {
    this.go("asking");
    this.restTimer = setTimeout(() => {
      void this.inOrder(() => {
        if (this.transport !== "asking") return;
        this.transport = "stopped";
        this.playFrom(0);
      });
    }, PAUSE_SECONDS * 1000);
  }

  protected async judgeNow(verdict: Verdict): Promise<void> {
    const play = this.state.pending;
    if (this.transport === "play" && !(play && isInTime(this.state))) {
      return this.judgeWhilePlaying(verdict);
    }
    if (!play) return;
    const wasEndingWell = this.state.endingWell !== undefined;
    const late = this.transport === "count-in";
    this.judgedAt = Date.now();
    await this.write("judged", { play, verdict });
    if (wasEndingWell) return this.endNow("ended-well");
    if (this.playsOnInTime) return this.follow();
    // A verdict that comes in the next count-in lets it go on, unless it moved the tempo.
    if (late && canPlayOn(this.state) && nextTempo(this.state) === this.sound.last?.tempo) return;
    this.settle();
  }

  protected async judgeWhilePlaying(verdict: Verdict): Promise<void> {
    // Going on in time, a second press is meant for the play before.
    if (isInTime(this.state) && Date.now() - this.judgedAt < NERVOUS_MS) return;
    if (verdict === "clean") {
      this.early = true;
      return this.changed();
    }
    this.sound.hush();
    this.early = false;
    await this.playEnded(false);
    this.sound.stop();
    this.transport = "asking";
    await this.judgeNow("flawed");
  }

  /** Brings what sounds into line with the state after a decision. */
  protected settle(): void {
    if (this.state.resting) return this.rest();
    const restart = () => {
      this.silence();
      this.transport = "stopped";
      if (this.sound.isOpen && canPlayOn(this.state))
        this.playFrom(this.sound.now() + RESTART_SECONDS);
      else this.changed();
    };
    switch (this.transport) {
      case "breather":
        this.sound.dropNext();
        if (this.sound.heard && !this.state.pending && canPlayOn(this.state)) {
          this.playFrom(this.sound.endsAt, true);
        }
        return this.changed();
      case "asking":
        return this.state.pending ? this.changed() : restart();
      case "count-in":
      case "play":
        return restart();
      case "resting":
      case "stopped":
        return this.changed();
    }
  }

  protected rest(): void {
    this.silence();
    this.go("resting");
    const { since, seconds } = this.state.resting!;
    const left = Math.max(0, since + seconds * 1000 - Date.now());
    this.restTimer = setTimeout(() => void this.inOrder(() => this.endRestNow()), left);
  }

  protected async endRestNow(): Promise<void> {
    if (!this.state.resting) return;
    clearTimeout(this.restTimer);
    await this.write("rest-ended", {});
    this.go("stopped");
    this.playFrom(this.sound.now() + RESTART_SECONDS);
  }

  /** Writes a decision that changes what is played, and plays that. */
  protected async decide<K extends EventKind>(kind: K, payload: Payload<K>): Promise<void> {
    await this.write(kind, payload);
    this.settle();
  }

  protected async endNow(how: Payload<"ended">["how"]): Promise<void> {
    this.silence();
    this.transport = "stopped";
    await this.write("ended", { how });
  }
}
