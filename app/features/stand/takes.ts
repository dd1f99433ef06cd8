import type { NoMicrophone } from "~/audio/microphone";
import type { Sound } from "~/audio/player";
import type { SoundingLoop } from "./loop-sound";
import type { TakeChoice, TakenPlay } from "./take-choice";
import { TAKES_STORE } from "~/features/keeping/takes-store-name";
import type { RecordingPlay, TakeDesk } from "./take-desk";

/** No microphone, or no room on this device to keep what it hears. */
export type WhyNot = NoMicrophone | "not-kept" | "gone";

export type TakePhase = "off" | "opening" | "armed" | "recording" | "closing";

export interface TakesView {
  readonly phase: TakePhase;
  /** Loudest just now, 0–1. */
  readonly level: number;
  /** Why nothing can be recorded. */
  readonly missing: WhyNot | undefined;
  /** Takes that were kept in this session, and how many of them wait to be sent. */
  readonly kept: number;
  readonly waiting: number;
  /** What the server has said against one. */
  readonly refusal: string | undefined;
  /** The last one was not kept: its mark was not found, or nothing can be kept here. */
  readonly lost: boolean;
  /** The microphone went away during the last one: it is kept until there. */
  readonly cutOff: boolean;
}

/** Before anything was recorded. */
export const NO_TAKES: TakesView = {
  phase: "off",
  level: 0,
  missing: undefined,
  kept: 0,
  waiting: 0,
  refusal: undefined,
  lost: false,
  cutOff: false,
};

const LEVEL_EVERY_MS = 150;
/** What is left of a level at the next one, a fiftieth of a second later. */
const FADES = 0.985;

/** A take that did not arrive is sent again so much later. */
const AGAIN_MS = 15_000;

/** Whether this browser has ever kept a take: else nothing is loaded to send one. */
const takesWereKept = async (): Promise<boolean> => {
  try {
    return (await indexedDB.databases()).some(({ name }) => name === TAKES_STORE);
  } catch {
    return false;
  }
};

/**
 * Recording at the stand: the next play is recorded when it was asked for. It never holds the play
 * up: whatever goes wrong with it, the loop goes on.
 */
export class Takes {
  private view: TakesView = NO_TAKES;
  private desk: TakeDesk | undefined;
  private recording: RecordingPlay | undefined;
  private choice: TakeChoice | undefined;
  /** Until the sound is closed. */
  private clapped: number | undefined;
  private held = 0;
  private toldAt = 0;
  private left = false;
  /** The last recording was closed, and sent or not. */
  settled: Promise<void> = Promise.resolve();
  private readonly listeners = new Set<() => void>();

  private again: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly urlOf: (takeId: string) => string) {
    // A take whose sending was cut off goes on from here, as from any page.
    void takesWereKept().then((kept) => (kept ? this.send() : undefined));
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): TakesView => this.view;

  private set(change: Partial<TakesView>): void {
    this.view = { ...this.view, ...change };
    for (const listener of this.listeners) listener();
  }

  /** The loudest of the last second or so, told a few times in it: the eye reads a word, not a wave. */
  private hear(peak: number): void {
    this.held = Math.max(peak, this.held * FADES);
    const now = performance.now();
    if (now - this.toldAt < LEVEL_EVERY_MS) return;
    this.toldAt = now;
    this.set({ level: this.held });
  }

  /** The clicks of the play itself are left out. */
  get quiet(): boolean {
    return this.choice?.onlyCountIn === true && ["armed", "recording"].includes(this.view.phase);
  }

  /** Has the player clap along, with headphones: how much later they are heard is known from then on. */
  async clapAlong(sound: Sound, choice: TakeChoice): Promise<boolean> {
    const { TakeDesk: Desk } = await import("./take-desk");
    this.clapped = await Desk.clapAlong(sound, choice).catch(() => undefined);
    return this.clapped !== undefined;
  }

  /** Asks for the microphone and waits for the next play. */
  async arm(sound: Sound, choice: TakeChoice): Promise<void> {
    if (this.view.phase !== "off") return;
    this.choice = choice.headphones ? { ...choice, clapped: this.clapped } : choice;
    this.set({
      phase: "opening",
      missing: undefined,
      lost: false,
      cutOff: false,
      refusal: undefined,
    });
    try {
      const { TakeDesk: Desk } = await import("./take-desk");
      const desk = await Desk.open(sound, this.choice, {
        onLevel: (peak) => this.hear(peak),
        onGone: () => this.gone(),
      });
      // The stand was left while the browser asked: the microphone is given back.
      if (this.left) return desk.dispose();
      this.desk = desk;
      await desk.arm(this.urlOf);
      if (this.desk === desk) this.set({ phase: "armed" });
    } catch (error) {
      const why = (error as { why?: WhyNot }).why ?? "not-kept";
      this.drop();
      this.set({ phase: "off", missing: why });
    }
  }

  /** A loop begins to sound; if one is waited for, this is it. */
  begin({ scheduled }: SoundingLoop): void {
    if (this.view.phase !== "armed" || !this.desk) return;
    this.recording = this.desk.begin(scheduled);
    this.set({ phase: "recording" });
  }

  /** The microphone was pulled out, or taken away: what was recorded until now is kept. */
  private gone(): void {
    if (this.view.phase === "recording") {
      this.desk?.cutOff();
      this.set({ cutOff: true, level: 0 });
    } else if (this.view.phase !== "closing") {
      this.cancel();
      this.set({ missing: "gone" });
    }
  }

  /** The play of this loop was written: its recording is closed, kept and sent. */
  played(play: TakenPlay): void {
    this.settled = this.close(play);
  }

  private async close(play: TakenPlay): Promise<void> {
    const { desk, recording } = this;
    if (this.view.phase !== "recording" || !desk || !recording) return;
    this.recording = undefined;
    this.set({ phase: "closing" });
    const kept = await desk.keep(recording, play).catch(() => false);
    this.drop();
    this.set({ phase: "off", level: 0, lost: !kept, kept: this.view.kept + (kept ? 1 : 0) });
    if (kept) await this.send();
  }

  private async send(): Promise<void> {
    const { sendTakes } = await import("~/features/keeping/send-takes");
    const sent = await sendTakes().catch(() => undefined);
    if (sent) this.set({ waiting: sent.waiting, refusal: sent.sentence });
    clearTimeout(this.again);
    const waits = sent === undefined || sent.waiting > 0;
    if (waits && !this.left) this.again = setTimeout(() => void this.send(), AGAIN_MS);
  }

  /** What was waited for or is on is not wanted any more. */
  cancel(): void {
    if (this.view.phase === "off" || this.view.phase === "closing") return;
    this.recording = undefined;
    this.drop();
    this.set({ phase: "off", level: 0 });
  }

  /** The microphone is open only while it is needed. */
  private drop(): void {
    this.desk?.dispose();
    this.desk = undefined;
  }

  /** Whoever leaves after the last bar still has the take of it: that is closed first. */
  async dispose(): Promise<void> {
    this.left = true;
    clearTimeout(this.again);
    this.listeners.clear();
    await this.settled;
    this.drop();
  }
}
