import type { SessionEvent, SessionPlan } from "~/core/session";
import {
  closedTransport,
  MOST_EVENTS_AT_ONCE,
  transport,
  type Effect,
  type Input,
  type TransportState,
} from "~/core/transport";
import type { Verdict } from "~/core/gate";
import { unreachable } from "~/core/result";
import { Mark } from "./mark";
import type { StandEars, StandPorts } from "./ports";
import type { TakeChoice } from "./take-choice";
import type { StandView } from "./view";

/** What the desk is opened with. */
export interface DeskOptions {
  readonly plan: SessionPlan;
  /** What the server had when the page was made. */
  readonly stored: readonly SessionEvent[];
  /** Volume of the click when it is first heard. */
  readonly volume: number;
}

/**
 * The stand's machine at work: deals with one input after the other and does outside what comes of
 * it. What is seen is the machine's state once everything that was written for it is on disk.
 */
export class StandDesk {
  private state: TransportState;
  private view: StandView;
  private readonly listeners = new Set<() => void>();
  private readonly inputs: Input[] = [];
  private busy = false;
  private disposed = false;
  private stopWaiting: () => void = () => undefined;
  /** The verdict that was pressed and is being written: seen at once, counted when it is on disk. */
  readonly marked = new Mark<Verdict | undefined>(undefined);

  private readonly ports: StandPorts;
  /** Of the click; also before there is any sound. */
  private volume: number;

  constructor({ plan, stored, volume }: DeskOptions, portsFor: (ears: StandEars) => StandPorts) {
    this.volume = volume;
    this.state = closedTransport(plan, stored);
    this.ports = portsFor({ send: this.send, changed: () => this.publish() });
    this.view = this.seen();
  }

  /** Opens what this device has kept of the session. */
  open = (): Promise<void> => this.ports.store.open();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): StandView => this.view;

  get takes() {
    return this.ports.takes;
  }

  get along() {
    return this.ports.along;
  }

  /** Whether something that was pressed or played is not on disk yet. */
  get writing(): Mark<boolean> {
    return this.ports.store.writing;
  }

  private seen(): StandView {
    const { sending, keeps } = this.ports.store;
    return { ...this.state, sending, keeps };
  }

  /** Draws the stand as it is now; what is to be written for that is on disk first. */
  private publish(): void {
    const { store } = this.ports;
    const view = this.seen();
    if (store.behind) void store.written().then(() => this.show(view));
    else this.show(view);
  }

  private show(view: StandView): void {
    if (this.disposed) return;
    this.marked.set(undefined);
    this.view = view;
    for (const listener of this.listeners) listener();
  }

  /** Takes in an input; those that come of its effects follow it. */
  readonly send = (input: Input): void => {
    this.inputs.push(input);
    if (this.busy || this.disposed) return;
    this.busy = true;
    try {
      for (let next = this.inputs.shift(); next; next = this.inputs.shift()) this.dealWith(next);
    } finally {
      this.busy = false;
      this.inputs.length = 0;
    }
    this.publish();
  };

  private dealWith(input: Input): void {
    const { now, newId, sound } = this.ports;
    const ids = Array.from({ length: MOST_EVENTS_AT_ONCE }, newId);
    const before = this.state;
    const next = transport(before, input, { at: now(), clock: sound.now(), ids });
    this.state = next.state;
    for (const effect of next.effects) this.perform(effect);
    // Only a verdict that is waited for is drawn at once.
    if (before.transport === "play" || before.stand.pending === undefined) return;
    for (const effect of next.effects) {
      if (effect.kind !== "write" || effect.event.kind !== "judged") continue;
      this.marked.set(effect.event.payload.verdict);
    }
  }

  private perform(effect: Effect): void {
    const { sound, store, takes, along, tapping, wait } = this.ports;
    switch (effect.kind) {
      case "open-sound":
        return void this.openSound().catch(() => undefined);
      case "send":
        return sound.send(effect.loop);
      case "withdraw":
        return sound.withdraw(effect.loop);
      case "cut":
        along.stop();
        return sound.cut(effect.loop, effect.at);
      case "begin": {
        const loop = sound.begin(effect.loop);
        if (!loop) return;
        takes.begin(loop);
        return along.begin(loop, this.passageId);
      }
      case "listen":
        return tapping.listen(effect.loop);
      case "listen-end": {
        const measured = tapping.end(effect.play);
        if (measured) this.send({ kind: "heard", measured });
        return;
      }
      case "silence":
        along.stop();
        return sound.stop();
      case "drop-take":
        return takes.cancel();
      case "drone":
        return sound.drone(effect.drone);
      case "write":
        return store.append(effect.event);
      case "played": {
        const { play: id, passage, tempo, rung } = effect;
        return takes.played({ id, passage, tempo, rung });
      }
      case "wait": {
        const { timer, ms } = effect;
        this.stopWaiting();
        this.stopWaiting = wait(ms, () => this.send({ kind: "waited", timer }));
        return;
      }
      case "stop-waiting":
        return this.stopWaiting();
      default:
        return unreachable(effect);
    }
  }

  private get passageId(): string {
    const { stand } = this.state;
    return stand.plan.blocks[stand.blockIndex]!.passageId;
  }

  private async openSound(): Promise<void> {
    try {
      await this.ports.sound.open(this.volume);
    } catch (error) {
      this.send({ kind: "sound-failed" });
      throw error;
    }
    this.send({ kind: "sound-opened" });
  }

  /** Records the next play; from a press, since it may open the sound. */
  readonly record = async (choice: TakeChoice): Promise<void> => {
    await this.openSound();
    await this.takes.arm(this.ports.sound.opened!, choice);
  };

  /** Has the player clap along; from a press, since it may open the sound. */
  readonly clapAlong = async (choice: TakeChoice): Promise<boolean> => {
    await this.openSound();
    return this.takes.clapAlong(this.ports.sound.opened!, choice);
  };

  /** Turns the teacher's playing on or off; from a press, since it may open the sound. */
  readonly playAlong = async (on: boolean): Promise<void> => {
    await this.openSound();
    const { sound } = this.ports;
    await this.along.turn(on, sound.opened!, sound.heard, this.passageId);
  };

  /** A tap along with the play, at an event's time stamp. */
  tap(timeStamp: number): void {
    const at = this.ports.sound.heardAt(timeStamp);
    if (at !== undefined) this.ports.tapping.tap(at);
  }

  setVolume(volume: number): void {
    this.volume = volume;
    this.ports.sound.setVolume(volume);
    this.along.setVolume(volume);
  }

  /** The bar and beat that are heard now. */
  readonly position = () => this.ports.sound.position();

  /** Waits for the take of the last play as well, which is closed after it. */
  readonly flushed = async (withinMs: number): Promise<boolean> => {
    const late = new Promise((resolve) => setTimeout(resolve, withinMs));
    await Promise.race([this.takes.settled, late]);
    return this.ports.store.flushed(withinMs);
  };

  dispose(): void {
    this.disposed = true;
    const { sound, store, takes, along } = this.ports;
    this.stopWaiting();
    along.stop();
    sound.stop();
    if (this.state.transport === "count-in" || this.state.transport === "play") takes.cancel();
    store.dispose();
    along.dispose();
    void takes.dispose().finally(() => sound.close());
  }
}
