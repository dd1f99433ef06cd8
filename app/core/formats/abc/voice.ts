import {
  fraction,
  sum,
  NOTHING,
  parseMetre,
  type BeatUnit,
  type Fraction,
  type Metre,
} from "~/core/units";
import type { DraftBar, DraftEvent, DraftKey, DraftTempo } from "../draft";
import type { AbcBarLine, AbcElement, AbcMeter, AbcNote, AbcTempo } from "./parsed";
import { keyOf, pitchesOfBar } from "./pitch";

/** Lengths come as floating numbers; every one that ABC can write is a multiple of these. */
const FINEST = [512, 960, 1344];

function exact(length: number): Fraction {
  for (const unit of FINEST) {
    const whole = length * unit;
    if (Math.abs(whole - Math.round(whole)) < 1e-6) return fraction(Math.round(whole), unit);
  }
  return fraction(Math.round(length * FINEST[0]!), FINEST[0]!);
}

const NORMAL: Readonly<Record<number, number>> = { 2: 3, 3: 2, 4: 3, 5: 4, 6: 2, 7: 4, 8: 3, 9: 8 };

export function metreOf({ type, value }: AbcMeter): Metre | undefined {
  if (type === "common_time") return { beats: 4, unit: 4 };
  if (type === "cut_time") return { beats: 2, unit: 2 };
  const [first] = value ?? [];
  return first && parseMetre(`${first.num.replace(/[()\s]/g, "")}/${first.den ?? 4}`);
}

const UNITS: Readonly<Record<string, BeatUnit>> = {
  "1": "whole",
  "0.75": "dotted-half",
  "0.5": "half",
  "0.375": "dotted-quarter",
  "0.25": "quarter",
  "0.1875": "dotted-eighth",
  "0.125": "eighth",
  "0.0625": "sixteenth",
};

export function tempoOf({ duration, bpm, preString, postString }: AbcTempo): DraftTempo {
  const unit = UNITS[String(duration?.[0] ?? 0.25)];
  const words = [preString, postString].filter(Boolean).join(" ");
  return bpm && unit ? { unit, bpm, words } : { unit: null, bpm: null, words };
}

type Writable<T> = { -readonly [K in keyof T]: T[K] };
interface OpenBar extends Writable<Omit<DraftBar, "voices">> {
  events: DraftEvent[];
  length: Fraction;
}
const emptyBar = (): OpenBar => ({ events: [], length: NOTHING });

/** A voice as it is read, bar by bar. */
export class Voice {
  readonly bars: OpenBar[] = [];
  private bar = emptyBar();
  private key: DraftKey = { fifths: 0, minor: false };
  private pitches = pitchesOfBar(this.key);
  private triplet: { actual: number; normal: number } | undefined;
  private ending: string | undefined;

  constructor(private readonly tell: (bar: number, what: string) => void) {}

  /** A line opens; what it tells again changes nothing. */
  opens(key: DraftKey | undefined, metre: Metre | undefined): void {
    if (metre) this.bar.metre = metre;
    if (key) this.takeKey(key);
  }

  private takeKey(key: DraftKey): void {
    this.key = key;
    this.bar.key = key;
    this.pitches = pitchesOfBar(key);
  }

  take(element: AbcElement): void {
    switch (element.el_type) {
      case "note":
        return this.note(element);
      case "bar":
        return this.line(element);
      case "key":
        return this.takeKey(keyOf(element));
      case "meter": {
        const metre = metreOf(element);
        if (metre) this.bar.metre = metre;
        else this.tell(this.bars.length, "a metre that can't be");
        return;
      }
      case "tempo":
        this.bar.tempo = tempoOf(element);
        return;
      case "clef":
        return;
    }
  }

  private note(note: AbcNote): void {
    if (note.startTriplet !== undefined) {
      const actual = note.startTriplet;
      const normal = note.tripletMultiplier
        ? Math.round(actual * note.tripletMultiplier)
        : (NORMAL[actual] ?? actual);
      this.triplet = { actual, normal };
    }
    const written = exact(note.duration);
    const tuplet = this.triplet && {
      ...this.triplet,
      edge:
        note.startTriplet !== undefined
          ? ("start" as const)
          : note.endTriplet
            ? ("stop" as const)
            : undefined,
    };
    const duration = tuplet
      ? fraction(written[0] * tuplet.normal, written[1] * tuplet.actual)
      : written;
    if (note.endTriplet) this.triplet = undefined;
    if (note.rest && /^(invisible|spacer)/.test(note.rest.type) && duration[0] === 0) return;
    if (duration[0] === 0) return;
    const pitches = note.rest ? [] : (note.pitches ?? []);
    const slurs = {
      start:
        (note.startSlur?.length ?? 0) + most(pitches.map(({ startSlur }) => startSlur?.length)),
      stop: (note.endSlur?.length ?? 0) + most(pitches.map(({ endSlur }) => endSlur?.length)),
    };
    this.bar.events.push({
      grace: (note.gracenotes ?? []).map((each) => this.pitches(each)),
      pitches: pitches.map((each) => ({
        ...this.pitches(each),
        tied: each.startTie !== undefined,
      })),
      duration,
      ...(tuplet ? { tuplet } : {}),
      slurs,
    });
    this.bar.length = sum(this.bar.length, duration);
  }

  private line({ type, startEnding, endEnding }: AbcBarLine): void {
    const repeatsBack = /right_repeat|dbl_repeat/.test(type);
    const repeatsFrom = /left_repeat|dbl_repeat/.test(type);
    if (this.bar.events.length > 0) {
      if (this.ending !== undefined) {
        this.bar.ending ??= { numbers: this.ending, opens: false, closes: false };
      }
      if (repeatsBack) this.bar.repeatTimes = 2;
      else if (/thin_thin|thin_thick/.test(type)) this.bar.doubleLine = true;
      if (endEnding && this.bar.ending) this.bar.ending = { ...this.bar.ending, closes: true };
      this.bars.push(this.bar);
      this.bar = emptyBar();
    }
    if (endEnding) this.ending = undefined;
    if (repeatsFrom) this.bar.repeatFrom = true;
    if (startEnding !== undefined) {
      this.ending = String(startEnding).replace(/[^\d,-]/g, "") || "1";
      this.bar.ending = { numbers: this.ending, opens: true, closes: false };
    }
    this.pitches = pitchesOfBar(this.key);
  }

  ends(): void {
    if (this.bar.events.length > 0) this.line({ el_type: "bar", type: "bar_thin" });
  }
}

const most = (counts: readonly (number | undefined)[]): number =>
  Math.max(0, ...counts.map((count) => count ?? 0));
