import type { Verdict } from "~/core/gate";
import {
  betweenPlays,
  currentBlock,
  endWellTempo,
  isLastPart,
  lastUndoable,
  redrawnFrom,
  type EventKind,
  type Flaw,
  type Payload,
} from "~/core/session";
import { tempo as tempoFrom } from "~/core/units";
import { NERVOUS_MS, nudgeOf, RESTART_SECONDS } from "./runner-options";
import { StandLoop } from "./stand-loop";
import { canPlayOn, endsFlawed, questionOf } from "./view";

/** A break after half an hour (craft, 8). */
const BREAK_SECONDS = 300;

/** The stand in the player's hands: every decision that can be taken at it, by any means. */
export class StandRunner extends StandLoop {
  judge = (verdict: Verdict) => this.judging(verdict, () => this.judgeNow(verdict));

  /** Draws a verdict first and writes it beside; only one that is waited for is drawn. */
  private judging(verdict: Verdict, work: () => unknown): Promise<void> {
    if (this.state.pending && this.transport !== "play") this.marked.set(verdict);
    return this.inOrder(work).finally(() => this.marked.set(undefined));
  }

  /** The pedal forward: clean, or whatever "go on" means where the stand asks something. */
  forward = () =>
    this.judging("clean", async () => {
      const question = questionOf(this.state, this.transport, this.leaving);
      if (question === "slow-end") return this.justJudged() ? undefined : this.endWellNow();
      if (question === "task") return this.taskForward();
      if (question === "verdict") return this.judgeNow("clean");
      if (this.justJudged()) return;
      if (question === "rest") return this.endRestNow();
      if (question === "left") return this.moveOnNow();
      if (question === "top") return isLastPart(this.state) ? this.endWellNow() : this.moveOnNow();
      if (question === "another-way") return this.afterOffer("offer-declined", {});
      if (question === "advice") return this.declineAdviceNow();
      if (this.transport === "stopped") return this.startNow();
      if (this.transport === "breather") this.goOnAtBarLine();
    });

  /** Judged, and ready before the breather is over. */
  private goOnAtBarLine(): void {
    if (!this.sound.next) return;
    this.sound.endAtBarLine();
    this.settle();
  }

  /** The pedal back: flawed, or a rung lower where another way is offered. */
  back = () =>
    this.judging("flawed", async () => {
      const question = questionOf(this.state, this.transport);
      if (question === "verdict") return this.judgeNow("flawed");
      if (question === "another-way" && !this.justJudged()) {
        return this.afterOffer("lowered", { steps: 1 });
      }
      if (question === "advice" && !this.justJudged()) return this.heedAdviceNow();
    });

  /** A second press right after a verdict is a nervous foot, not a decision. */
  private justJudged(): boolean {
    return Date.now() - this.judgedAt < NERVOUS_MS;
  }

  endRest = () => this.inOrder(() => this.endRestNow());

  /** Takes the last decision back. A verdict taken back is asked for again. */
  undo = () => this.inOrder(() => this.undoNow());

  private async undoNow(): Promise<void> {
    const last = lastUndoable(this.ledger.events);
    if (!last) return;
    await this.write("undone", { event: last.id });
    if (this.playsOnInTime) return this.follow();
    if (!this.state.pending || this.transport === "breather") return this.settle();
    this.silence();
    this.go("asking");
  }

  nudge = (direction: 1 | -1) =>
    this.inOrder(() => {
      const { plan, state } = currentBlock(this.state);
      return this.toTempo(state.tempo + direction * nudgeOf(plan));
    });

  /** A tempo that was tapped: before anything was played, the ladder is drawn anew from it. */
  setTempo = (bpm: number) =>
    this.inOrder(() => {
      const { plan } = currentBlock(this.state);
      const tempo = tempoFrom(Math.min(bpm, plan.ladder.target));
      const begun = this.state.plays.some((play) => play.blockIndex === this.state.blockIndex);
      if (begun || !tempo.ok) return this.toTempo(bpm);
      return this.decide("redrawn", redrawnFrom(plan, tempo.value));
    });

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

  /** Count-in and breather from the next loop on. */
  pace = (pace: Payload<"paced">) =>
    this.inOrder(async () => {
      await this.write("paced", pace);
      if (this.playsOnInTime) return this.follow();
      if (this.transport !== "play" && this.transport !== "count-in") this.settle();
    });

  repeat = () => this.inOrder(() => this.decide("repeated", {}));
  skip = () => this.inOrder(() => this.decide("skipped", {}));
  again = () => this.inOrder(() => this.afterOffer("repeated", {}));
  lower = () => this.inOrder(() => this.afterOffer("lowered", { steps: 1 }));
  narrow = (range: Payload<"narrowed">) => this.inOrder(() => this.afterOffer("narrowed", range));
  firm = (offered: Payload<"firmed">) => this.inOrder(() => this.afterOffer("firmed", offered));
  /** What was advised between plays: as it says, a break or a rung lower; or on as it is. */
  heedAdvice = () => this.inOrder(() => this.heedAdviceNow());
  declineAdvice = () => this.inOrder(() => this.declineAdviceNow());

  private async heedAdviceNow(): Promise<void> {
    const advised = betweenPlays(this.state);
    if (advised?.kind !== "break") return this.afterOffer("lowered", { steps: 1 });
    await this.write("offer-declined", { of: "break" });
    await this.takeRestNow(BREAK_SECONDS);
  }

  private async declineAdviceNow(): Promise<void> {
    const advised = betweenPlays(this.state);
    if (advised) await this.afterOffer("offer-declined", { of: advised.kind });
  }

  declineOffer = () => this.inOrder(() => this.afterOffer("offer-declined", {}));

  private async afterOffer<K extends EventKind>(kind: K, payload: Payload<K>): Promise<void> {
    await this.decide(kind, payload);
    if (this.transport === "stopped" && canPlayOn(this.state)) {
      this.playFrom(this.sound.now() + RESTART_SECONDS);
    }
  }

  takeRest = (seconds: number) => this.inOrder(() => this.takeRestNow(seconds));

  private async takeRestNow(seconds: number): Promise<void> {
    await this.write("rest-began", { seconds });
    this.rest();
  }

  moveOn = () => this.inOrder(() => this.moveOnNow());

  private async moveOnNow(): Promise<void> {
    this.silence();
    this.transport = "stopped";
    if (!this.leaving && endsFlawed(this.state)) {
      this.leaving = true;
      return this.changed();
    }
    this.leaving = false;
    if (isLastPart(this.state)) return this.endNow("finished");
    this.sound.last = undefined;
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

  detail = (about: { bar?: number; beat?: number; what?: Flaw }) =>
    this.inOrder(async () => {
      const play = this.state.detailable;
      if (!play) return;
      await this.write("detailed", { play, ...about });
      // Noted tension may ask for another way: what was to follow, or is being counted in, waits.
      if (this.playsOnInTime) return this.follow();
      const before = this.transport === "breather" || this.transport === "count-in";
      if (before && !canPlayOn(this.state)) this.settle();
    });

  note = (text: string) => this.inOrder(() => this.write("noted", { text }));

  /** A question for the lesson. */
  ask = (text: string) => this.inOrder(() => this.write("asked", { text }));

  endWell = () => this.inOrder(() => this.endWellNow());

  private async endWellNow(): Promise<void> {
    const slow = tempoFrom(endWellTempo(this.state));
    if (!slow.ok) return;
    this.silence();
    this.leaving = false;
    this.transport = "stopped";
    await this.write("end-well-began", { tempo: slow.value });
    await this.startNow();
  }

  end = (how: Payload<"ended">["how"]) => this.inOrder(() => this.endNow(how));

  /** Goes on after all, where leaving was asked for. */
  stay = () =>
    this.inOrder(() => {
      this.leaving = false;
      this.changed();
    });

  /** Stops everything at once, before anything is asked or written. */
  hurts = () => {
    this.silence();
    return this.end("pain");
  };

  setVolume(volume: number): void {
    this.sound.setVolume(volume);
    this.along.setVolume(volume);
  }

  /** Whether what is played now is played without the notes. */
  setFromMemory(fromMemory: boolean): void {
    this.fromMemory = fromMemory;
  }

  /** The bar and beat that are heard now. */
  position = () => this.sound.position();

  /** Waits for the take of the last play as well, which is closed after it. */
  flushed = async (withinMs: number): Promise<boolean> => {
    const late = new Promise((resolve) => setTimeout(resolve, withinMs));
    await Promise.race([this.takes.settled, late]);
    return this.ledger.flushed(withinMs);
  };

  dispose(): void {
    this.silence();
    this.ledger.dispose();
    this.along.dispose();
    void this.takes.dispose().finally(() => this.sound.close());
  }
}
