import {
  currentBlock,
  endWellTempo,
  isLastPart,
  lastUndoable,
  nextLoop,
  nextTempo,
  type EventKind,
  type Flaw,
  type Payload,
  type StandState,
} from "~/core/session";
import type { Verdict } from "~/core/gate";
import { tempo as tempoFrom } from "~/core/units";
import type { MarkerPassed, Scheduled } from "~/audio/engine";
import { Ledger } from "./ledger";
import { LoopSound } from "./loop-sound";
import { TappedAlong } from "./tapped-along";
import { NERVOUS_MS, NUDGE_BPM, RESTART_SECONDS, type RunnerOptions } from "./runner-options";
import { canPlayOn, questionOf, type StandView, type Transport } from "./view";

/**
 * Runs the loop of the stand: sends each loop's beat map ahead, writes what was played, asks for
 * the verdict, moves on. It decides nothing about when a click sounds.
 */
export class StandRunner {
  private readonly ledger: Ledger;
  private turn: Promise<unknown> = Promise.resolve();
  private readonly listeners = new Set<() => void>();
  private view: StandView;
  private transport: Transport = "stopped";
  private early = false;
  private judgedAt = 0;
  private ready = false;
  private readonly sound = new LoopSound();
  private readonly taps = new TappedAlong();
  private restTimer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly options: RunnerOptions) {
    this.ledger = new Ledger({ ...options, onChange: () => this.changed() });
    this.view = this.currentView();
  }

  private get state(): StandState {
    return this.ledger.state;
  }

  private currentView(): StandView {
    const { transport, early, ready } = this;
    const { state, events, sending } = this.ledger;
    return { state, events, transport, early, sending, ready };
  }

  private changed(): void {
    this.view = this.currentView();
    for (const listener of this.listeners) listener();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): StandView => this.view;

  private go(transport: Transport): void {
    this.transport = transport;
    this.changed();
  }

  async open(): Promise<void> {
    await this.ledger.open();
    this.ready = true;
    this.changed();
  }

  private write<K extends EventKind>(kind: K, payload: Payload<K>): Promise<string> {
    return this.ledger.append(kind, payload);
  }

  /**
   * One thing after the other: what the engine reports and what the player presses is dealt with
   * in the order in which it came, each on the state that the one before has left.
   */
  private inOrder(work: () => unknown): Promise<void> {
    const done = this.turn.then(async () => void (await work()));
    this.turn = done.catch(() => undefined);
    return done;
  }

  /** Start, or go on after a pause or a reload. */
  start = () => this.inOrder(() => this.startNow());

  private async startNow(): Promise<void> {
    // A second press finds the loop running and must not lay another one over it.
    if (!this.ready || this.state.ended || this.transport !== "stopped") return;
    await this.sound.open(
      this.options.volume,
      (passed) => void this.inOrder(() => this.onMarker(passed)),
    );
    if (this.ledger.events.length === 0) await this.write("opened", {});
    if (this.state.resting) await this.write("rest-ended", {});
    if (questionOf(this.state, this.transport) === "task") return;
    if (this.state.pending) return this.go("asking");
    this.playFrom(0);
  }

  pause(): void {
    this.silence();
    this.go(this.state.pending ? "asking" : "stopped");
  }

  private silence(): void {
    clearTimeout(this.restTimer);
    this.sound.stop();
    this.early = false;
  }

  /** Sends the next loop ahead, to begin at a time of the audio context. */
  private playFrom(at: number): void {
    const request = nextLoop(this.state, this.sound.tempoHeard);
    const scheduled = this.sound.send(request, at);
    if (!scheduled) return;
    this.sound.drone(request.click.drone);
    if (this.transport === "breather") this.sound.next = scheduled;
    else this.begin(scheduled);
  }

  private begin(scheduled: Scheduled): void {
    this.sound.begin(scheduled);
    this.taps.clear();
    this.go("count-in");
  }

  private async onMarker({ scheduled, name }: MarkerPassed): Promise<void> {
    if (scheduled.mapId !== this.sound.heard?.mapId) return;
    if (name === "play-began") this.go("play");
    if (name === "play-ended") await this.playEnded(true);
    if (name === "map-ended") this.mapEnded();
  }

  private async playEnded(complete: boolean): Promise<void> {
    const { fromBar, toBar } = currentBlock(this.state).state.segment;
    const tempo = nextTempo(this.state);
    const { heard, gone } = this.sound;
    const whole = heard?.map.duration ?? 0;
    const seconds = complete ? whole : Math.min(whole, gone);
    const spread = heard && complete ? this.taps.spread(heard.map) : undefined;
    const measured = spread === undefined ? {} : { spread };
    const early = this.early;
    this.early = false;
    this.transport = "breather";
    await this.write("played", { tempo, seconds, fromBar, toBar, complete, ...measured });
    if (early) await this.judgeNow("clean");
  }

  private mapEnded(): void {
    if (this.sound.next) return this.begin(this.sound.next);
    if (this.transport !== "breather") return;
    const { pending } = this.state;
    if (canPlayOn(this.state) && !pending) return this.playFrom(0);
    if (pending && this.options.plan.noVerdict === "again") {
      this.transport = "stopped";
      return this.playFrom(0);
    }
    this.sound.drone(null);
    this.go(this.state.pending ? "asking" : "stopped");
  }

  judge = (verdict: Verdict) => this.inOrder(() => this.judgeNow(verdict));

  /** The pedal forward: clean, or whatever "go on" means where the stand asks something. */
  forward = () =>
    this.inOrder(async () => {
      const question = questionOf(this.state, this.transport);
      if (question === "task") return this.taskForward();
      if (question === "verdict") return this.judgeNow("clean");
      if (this.justJudged()) return;
      if (question === "rest") return this.endRestNow();
      if (question === "left") return this.moveOnNow();
      if (question === "top") return isLastPart(this.state) ? this.endWellNow() : this.moveOnNow();
      if (question === "another-way") return this.afterOffer("offer-declined", {});
      if (this.transport === "stopped") return this.startNow();
    });

  /** The pedal back: flawed, or a rung lower where another way is offered. */
  back = () =>
    this.inOrder(async () => {
      const question = questionOf(this.state, this.transport);
      if (question === "verdict") return this.judgeNow("flawed");
      if (question === "another-way" && !this.justJudged()) {
        return this.afterOffer("lowered", { steps: 1 });
      }
    });

  /** A second press right after a verdict is a nervous foot, not a decision. */
  private justJudged(): boolean {
    return Date.now() - this.judgedAt < NERVOUS_MS;
  }

  private async judgeNow(verdict: Verdict): Promise<void> {
    if (this.transport === "play") return this.judgeWhilePlaying(verdict);
    const play = this.state.pending;
    if (!play) return;
    const wasEndingWell = this.state.endingWell !== undefined;
    const late = this.transport === "count-in";
    this.judgedAt = Date.now();
    await this.write("judged", { play, verdict });
    if (wasEndingWell) return this.endNow("ended-well");
    // A verdict that comes in the next count-in lets it go on, unless it moved the tempo.
    if (late && canPlayOn(this.state) && nextTempo(this.state) === this.sound.tempoHeard) return;
    this.settle();
  }

  private async judgeWhilePlaying(verdict: Verdict): Promise<void> {
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
  private settle(): void {
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
          this.playFrom(this.sound.endsAt);
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

  private rest(): void {
    this.silence();
    this.go("resting");
    const { since, seconds } = this.state.resting!;
    const left = Math.max(0, since + seconds * 1000 - Date.now());
    this.restTimer = setTimeout(() => void this.endRest(), left);
  }

  endRest = () => this.inOrder(() => this.endRestNow());

  private async endRestNow(): Promise<void> {
    if (!this.state.resting) return;
    clearTimeout(this.restTimer);
    await this.write("rest-ended", {});
    this.go("stopped");
    this.playFrom(this.sound.now() + RESTART_SECONDS);
  }

  /** Writes a decision that changes what is played, and plays that. */
  private async decide<K extends EventKind>(kind: K, payload: Payload<K>): Promise<void> {
    await this.write(kind, payload);
    this.settle();
  }

  /** Takes the last decision back. A verdict taken back is asked for again. */
  undo = () => this.inOrder(() => this.undoNow());

  private async undoNow(): Promise<void> {
    const last = lastUndoable(this.ledger.events);
    if (!last) return;
    await this.write("undone", { event: last.id });
    if (!this.state.pending || this.transport === "breather") return this.settle();
    this.silence();
    this.go("asking");
  }

  nudge = (direction: 1 | -1) =>
    this.inOrder(() => this.toTempo(currentBlock(this.state).state.tempo + direction * NUDGE_BPM));

  /** A tempo that was tapped. */
  setTempo = (bpm: number) => this.inOrder(() => this.toTempo(bpm));

  private async toTempo(bpm: number): Promise<void> {
    const next = tempoFrom(bpm);
    if (next.ok) await this.decide("tempo-set", { tempo: next.value });
  }

  /** The player says that it feels easy. */
  ease = () => this.inOrder(() => this.decide("eased", {}));

  /** A tap along with the play, at an event's time stamp. */
  tap(timeStamp: number): void {
    const at = this.transport === "play" ? this.sound.heardAt(timeStamp) : undefined;
    if (at !== undefined) this.taps.add(at);
  }

  repeat = () => this.inOrder(() => this.decide("repeated", {}));
  skip = () => this.inOrder(() => this.decide("skipped", {}));
  again = () => this.inOrder(() => this.afterOffer("repeated", {}));
  lower = () => this.inOrder(() => this.afterOffer("lowered", { steps: 1 }));
  narrow = (range: Payload<"narrowed">) => this.inOrder(() => this.afterOffer("narrowed", range));
  declineOffer = () => this.inOrder(() => this.afterOffer("offer-declined", {}));

  private async afterOffer<K extends EventKind>(kind: K, payload: Payload<K>): Promise<void> {
    await this.decide(kind, payload);
    if (this.transport === "stopped" && canPlayOn(this.state)) {
      this.playFrom(this.sound.now() + RESTART_SECONDS);
    }
  }

  takeRest = (seconds: number) =>
    this.inOrder(async () => {
      await this.write("rest-began", { seconds });
      this.rest();
    });

  moveOn = () => this.inOrder(() => this.moveOnNow());

  private async moveOnNow(): Promise<void> {
    this.silence();
    this.transport = "stopped";
    if (isLastPart(this.state)) return this.endNow("finished");
    this.sound.tempoHeard = undefined;
    await this.write("moved-on", {});
  }

  /** A task is done; the first of a session is only begun. */
  taskDone = () => this.inOrder(() => this.taskForward());

  private async taskForward(): Promise<void> {
    if (this.ledger.events.length === 0) return this.startNow();
    const last = isLastPart(this.state);
    await this.write("part-ended", { part: this.state.part });
    if (last) await this.endNow("finished");
  }

  detail = (about: { bar?: number; what?: Flaw }) =>
    this.inOrder(async () => {
      const play = this.state.detailable;
      if (play) await this.write("detailed", { play, ...about });
    });

  note = (text: string) => this.inOrder(() => this.write("noted", { text }));

  endWell = () => this.inOrder(() => this.endWellNow());

  private async endWellNow(): Promise<void> {
    const slow = tempoFrom(endWellTempo(this.state));
    if (!slow.ok) return;
    this.silence();
    this.transport = "stopped";
    await this.write("end-well-began", { tempo: slow.value });
    await this.startNow();
  }

  end = (how: Payload<"ended">["how"]) => this.inOrder(() => this.endNow(how));

  private async endNow(how: Payload<"ended">["how"]): Promise<void> {
    this.silence();
    this.transport = "stopped";
    await this.write("ended", { how });
  }

  /** Stops everything at once, before anything is asked or written. */
  hurts = () => {
    this.silence();
    return this.end("pain");
  };

  setVolume(volume: number): void {
    this.sound.setVolume(volume);
  }

  /** The bar and beat that are heard now. */
  position = () => this.sound.position();

  flushed = (withinMs: number) => this.ledger.flushed(withinMs);

  dispose(): void {
    this.silence();
    this.ledger.dispose();
    this.sound.close();
  }
}
