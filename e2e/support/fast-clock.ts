import type { BrowserContext, Page } from "@playwright/test";

/** A clock that runs at a rate from a moment on: `virtual` is what it shows at real time `real`. */
export interface ClockSetting {
  readonly real: number;
  readonly virtual: number;
  readonly rate: number;
}

export const RATE = 20;

/** The demo room at one and the same moment, so that its journeys and pictures are the same every day. */
export const demoClock = (): ClockSetting => ({
  real: Date.now(),
  virtual: Date.UTC(2026, 4, 4, 12),
  rate: 1,
});

/** Where a page keeps how many days its clock runs ahead of that. */
export const DAYS_AHEAD = "days-ahead";

/** From noon of today on, so that no journey comes upon midnight. */
export const clockFromNoon = (rate: number): ClockSetting => {
  const real = Date.now();
  return { real, virtual: new Date(real).setUTCHours(12, 0, 0, 0), rate };
};

/** The sound of a page on the fast clock: held, it stands where it is, while all else goes on. */
export interface HeldSound {
  hold(): void;
  /** Goes on until something is in the page, and is held there, at once. */
  until(selector: string): Promise<void>;
}

declare global {
  interface Window {
    readonly heldSound?: HeldSound;
  }
}

/**
 * Runs in the page before anything else: time passes `rate` times as fast, and nothing sounds.
 * The click's worklet is stood in for by timers that tell its markers; everything else is the
 * product's own code. Lists are opened by key here: what guards them against the mouse's release is
 * a timer, and too quick.
 */
function quicken({ real, virtual, rate, key }: ClockSetting & { readonly key: string }): void {
  const LATEST_MS = 60_000;
  /** Of the page's time; timers are never quite on time. */
  const LATE_MS = 200;
  const page = window;
  const RealDate = Date;
  const realNow = performance.now.bind(performance);
  const origin = realNow();
  const daysAhead = () => {
    try {
      return Number(localStorage.getItem(key) ?? 0);
    } catch {
      return 0;
    }
  };
  const dateOffset = virtual + (RealDate.now() - real) * rate + daysAhead() * 86_400_000;
  const passed = () => (realNow() - origin) * rate;

  performance.now = () => origin + passed();
  class FastDate extends RealDate {
    constructor(...given: [] | [number | string | Date]) {
      if (given.length === 0) super(FastDate.now());
      else super(...(given as [number]));
    }
    static override now = () => Math.round(dateOffset + passed());
  }
  page.Date = FastDate as DateConstructor;

  const later = page.setTimeout.bind(page);
  const every = page.setInterval.bind(page);
  const soon = page.requestAnimationFrame.bind(page);
  const sooner = (delay = 0) => Number(delay) / rate;
  page.setTimeout = ((work: TimerHandler, delay?: number, ...rest: unknown[]) =>
    later(work, sooner(delay), ...rest)) as typeof setTimeout;
  page.setInterval = ((work: TimerHandler, delay?: number, ...rest: unknown[]) =>
    every(work, sooner(delay), ...rest)) as typeof setInterval;
  page.requestAnimationFrame = (work) => soon(() => work(performance.now()));
  // A request on the same machine takes as long as ever: its limit stays in real time.

  // Milliseconds of the page that sound has heard: those for which it was held are left out.
  let heldAt: number | undefined;
  let held = 0;
  const sounded = () => (heldAt ?? passed()) - held;

  class FastContext {
    readonly sampleRate = 44_100;
    readonly destination = {};
    readonly audioWorklet = { addModule: () => Promise.resolve() };
    state = "running";
    private readonly begun = sounded();
    get currentTime() {
      return (sounded() - this.begun) / 1000;
    }
    getOutputTimestamp() {
      return { contextTime: this.currentTime, performanceTime: performance.now() };
    }
    resume = () => Promise.resolve();
    close = () => Promise.resolve(void (this.state = "closed"));
  }

  interface Message {
    readonly kind: string;
    readonly mapId?: number;
    readonly start?: number;
    readonly at?: number;
    readonly markers?: readonly { readonly name: string; readonly at: number }[];
  }

  interface Pending {
    readonly mapId: number;
    readonly name: string;
    /** Seconds of the context. */
    readonly time: number;
  }

  /** Tells its markers in their order, those of one moment together, as the worklet does. */
  class FastNode {
    static readonly all: FastNode[] = [];
    private pending: Pending[] = [];
    private timer: number | undefined;
    readonly port: { onmessage?: (event: unknown) => void; postMessage(message: Message): void };

    constructor(private readonly context: FastContext) {
      FastNode.all.push(this);
      this.port = {
        postMessage: ({ kind, mapId = 0, start = 0, at = 0, markers = [] }) => {
          if (kind === "stop") this.pending = [];
          if (kind === "withdraw") {
            this.pending = this.pending.filter((each) => each.mapId !== mapId);
          }
          if (kind === "cut") {
            this.pending = this.pending.map((each) =>
              each.mapId === mapId ? { ...each, time: Math.min(each.time, at) } : each,
            );
          }
          if (kind === "schedule") {
            const told = markers.map(({ name, at }) => ({ mapId, name, time: start + at }));
            this.pending = [...this.pending, ...told];
          }
          this.pending.sort((a, b) => a.time - b.time);
          this.awaits();
        },
      };
      later(() => this.tell({ kind: "ready" }));
    }
    private tell = (data: unknown) => this.port.onmessage?.({ data });
    /** One timer, for the next marker: two that are due together may come in any order. */
    awaits() {
      clearTimeout(this.timer);
      const next = this.pending[0];
      if (!next || heldAt !== undefined) return;
      const left = (next.time - this.context.currentTime) * 1000;
      this.timer = page.setTimeout(() => this.reach(next.time), left) as unknown as number;
    }
    private reach(time: number) {
      waitFor((this.context.currentTime - time) * 1000);
      const due = this.pending.filter((each) => each.time <= time);
      this.pending = this.pending.filter((each) => each.time > time);
      this.awaits();
      for (const each of due) this.tell({ kind: "marker", ...each });
    }
    connect = () => undefined;
    disconnect = () => undefined;
  }
  const rearm = () => FastNode.all.forEach((node) => node.awaits());
  /** A page that was busy, twenty times as long on this clock, has not heard so much meanwhile. */
  const waitFor = (late: number) => {
    if (late < LATE_MS) return;
    held += late;
    rearm();
  };
  const hold = () => {
    heldAt ??= passed();
    rearm();
  };
  const goOn = () => {
    if (heldAt === undefined) return;
    held += passed() - heldAt;
    heldAt = undefined;
    rearm();
  };
  const until = (selector: string) =>
    new Promise<void>((resolve, reject) => {
      const isThere = () => document.querySelector(selector) !== null;
      const there = () => {
        hold();
        resolve();
      };
      if (isThere()) return there();
      // Told of every change, instead of looking again and again: that would slow down the page.
      const observer = new MutationObserver(() => {
        if (!isThere()) return;
        observer.disconnect();
        there();
      });
      observer.observe(document, { subtree: true, childList: true, attributes: true });
      const giveUp = () => {
        observer.disconnect();
        reject(new Error(`${selector} has not come.`));
      };
      later(giveUp, LATEST_MS);
      goOn();
    });
  Object.assign(page, { AudioContext: FastContext, AudioWorkletNode: FastNode });
  Object.assign(page, { heldSound: { hold, until } satisfies HeldSound });
}

/** Every page of this browser from now on lives on the fast clock. */
export const onFastClock = (context: BrowserContext, setting: ClockSetting) =>
  context.addInitScript(quicken, { ...setting, key: DAYS_AHEAD });

/** From now on nothing that sounds comes to its end before it was looked at. */
export const holdTheSound = (page: Page) => page.evaluate(() => window.heldSound?.hold());
