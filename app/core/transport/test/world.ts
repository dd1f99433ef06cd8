import { replay, type Payload, type SessionEvent, type SessionPlan } from "~/core/session";
import { assert } from "~/core/result";
import {
  closedTransport,
  MOST_EVENTS_AT_ONCE,
  transport,
  type Effect,
  type Input,
  type Loop,
  type PlayersInput,
  type Timer,
  type TransportState,
} from "..";

export const NOON = Date.UTC(2026, 4, 4, 12);

/** Something that will come by itself. */
interface Due {
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly input: Input;
}

/**
 * A stand in a world without a browser: a clock that goes only when it is told to, a sound that
 * tells its markers, timers that run out. Whatever never may be is looked for after every input.
 */
export class World {
  state: TransportState;
  /** Milliseconds since 1970; the sound's clock goes with it. */
  at = NOON;
  private dues: Due[] = [];
  private readonly sounding = new Map<number, Loop>();
  /** What is on disk. */
  kept: SessionEvent[];
  /** Plays that were told to whoever records and listens. */
  readonly told: string[] = [];
  private made = 0;
  private listened: Loop | undefined;
  /** What hears the plays: how one lay, and so many milliseconds after its end it is told. */
  ear?: (
    loop: Loop,
    play: string,
  ) => { readonly after: number; readonly measured: Payload<"measured"> } | undefined;
  /** Plays that were there when the page was loaded. */
  private readonly before: number;

  constructor(
    readonly plan: SessionPlan,
    stored: readonly SessionEvent[] = [],
    /** What comes before the device has told what it kept. */
    early: readonly Input[] = [],
  ) {
    this.kept = [...stored];
    this.made = 10_000 * stored.length;
    this.before = stored.filter(({ kind }) => kind === "played").length;
    this.state = closedTransport(plan, stored);
    for (const input of early) this.send(input);
    this.send({ kind: "events", events: stored });
  }

  get clock(): number {
    return (this.at - NOON) / 1000;
  }

  private readonly newId = (): string => {
    this.made++;
    return `00000000-0000-4000-8000-${String(this.made).padStart(12, "0")}`;
  };

  send(input: Input): this {
    const ids = Array.from({ length: MOST_EVENTS_AT_ONCE }, this.newId);
    const moment = { at: this.at, clock: this.clock, ids };
    const { state, effects } = transport(this.state, input, moment);
    this.state = state;
    for (const effect of effects) this.perform(effect);
    this.check(input);
    return this;
  }

  /** The player does something, a second after whatever was before. */
  does(...inputs: readonly PlayersInput[]): this {
    for (const input of inputs) {
      this.pass(1000);
      this.send(input);
    }
    return this;
  }

  private due(ms: number, input: Input): void {
    this.dues.push({ at: this.at + ms, input });
  }

  private dropDues(drop: (input: Input) => boolean): void {
    this.dues = this.dues.filter(({ input }) => !drop(input));
  }

  private readonly isMarkerOf =
    (loop: Loop) =>
    (input: Input): boolean =>
      input.kind === "marker" && input.loop === loop.id;

  private perform(effect: Effect): void {
    switch (effect.kind) {
      case "open-sound":
        return this.due(30, { kind: "sound-opened" });
      case "send": {
        const { loop } = effect;
        this.sounding.set(loop.id, loop);
        if (loop.start < this.clock) throw new Error("A loop was sent too late.");
        for (const { at, name } of loop.map.markers) {
          const ms = (loop.start + at - this.clock) * 1000;
          this.due(ms, { kind: "marker", loop: loop.id, name });
        }
        return;
      }
      case "withdraw":
        this.sounding.delete(effect.loop.id);
        return this.dropDues(this.isMarkerOf(effect.loop));
      case "cut": {
        const isOf = this.isMarkerOf(effect.loop);
        const end = NOON + effect.at * 1000;
        this.dues = this.dues.flatMap((due): Due[] => {
          if (!isOf(due.input) || due.at <= end) return [due];
          const ends = due.input.kind === "marker" && due.input.name === "map-ended";
          return ends ? [{ ...due, at: end }] : [];
        });
        return;
      }
      case "begin":
        assert(this.sounding.has(effect.loop.id), "A loop begins that was never sent.");
        for (const id of this.sounding.keys()) if (id < effect.loop.id) this.sounding.delete(id);
        return;
      case "silence":
        this.sounding.clear();
        return this.dropDues(({ kind }) => kind === "marker");
      case "write":
        this.kept.push(effect.event);
        return;
      case "played":
        this.told.push(effect.play);
        return;
      case "wait":
        this.stopWaiting(effect.timer);
        return this.due(effect.ms, { kind: "waited", timer: effect.timer });
      case "stop-waiting":
        return this.dropDues(({ kind }) => kind === "waited");
      case "listen":
        this.listened = effect.loop;
        return;
      case "listen-end": {
        const told = this.ear?.(this.listened!, effect.play);
        if (told) this.due(told.after, { kind: "heard", measured: told.measured });
        return;
      }
      case "drop-take":
      case "drone":
    }
  }

  private stopWaiting(timer: Timer): void {
    this.dropDues((input) => input.kind === "waited" && input.timer === timer);
  }

  /** Time goes by, with everything that comes in it. */
  pass(ms: number): void {
    const until = this.at + ms;
    while (this.next !== undefined && this.next.at <= until) this.comes();
    this.at = until;
  }

  private get next(): Due | undefined {
    return this.dues.toSorted((one, other) => one.at - other.at)[0];
  }

  /** Until the next thing comes by itself; false where nothing does. */
  comes(): boolean {
    const { next } = this;
    if (!next) return false;
    this.dues = this.dues.filter((due) => due !== next);
    this.at = Math.max(this.at, next.at);
    this.send(next.input);
    return true;
  }

  /** Until the stand waits for the player, or a few plays on where it never does. */
  settles(): this {
    for (let n = 0; n < 24 && this.waitsForNobody; n++) if (!this.comes()) break;
    return this;
  }

  private get waitsForNobody(): boolean {
    const { transport: now, sound, trying } = this.state;
    // What is tried goes on until somebody says that it is over.
    if (trying && now !== "stopped") return false;
    return ["count-in", "play", "breather"].includes(now) || sound === "opening";
  }

  /** Until this is so; throws where nothing comes any more. */
  until(wanted: (state: TransportState) => boolean): this {
    for (let n = 0; !wanted(this.state); n++) {
      assert(n < 1000 && this.comes(), `It never comes from ${this.told.length} plays.`);
    }
    return this;
  }

  /** The page is loaded again: what is on disk is all that is known. */
  reloads(): World {
    const again = new World(this.plan, this.kept);
    again.at = this.at;
    return again;
  }

  private check(input: Input): void {
    const { state, kept } = this;
    const { stand, events, transport: now, next, heard } = state;
    const wrong = [
      events.length !== kept.length && "an event is not on disk",
      events.at(-1)?.seq !== (events.length > 0 ? events.length - 1 : undefined) && "a gap",
      now === "asking" && stand.pending === undefined && "it asks about nothing",
      now === "resting" && stand.resting === undefined && "it rests without a rest",
      next !== undefined && heard === undefined && "something follows nothing",
      stand.plays.length !== this.told.length + this.before && "a play was told but not written",
    ].filter(Boolean);
    assert(wrong.length === 0, `After ${input.kind}: ${wrong.join(", ")}.`);
  }

  /** What the session is by its events alone. */
  replayed() {
    return replay(this.plan, this.kept);
  }
}
