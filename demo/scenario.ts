import type { SchoolName } from "~/core/ladder";
import type { LearnerTraits } from "~/core/simulate";
import type { BlockKind, Feeling } from "~/core/session";
import type { ItemKind } from "~/core/week";
import type { Tempi } from "~/core/score";
import type { BeatUnit } from "~/core/units";

/** The invented music room, its people, and how each of them learns. */
export const ROOM = {
  name: "The Ropewalk Music Room, Sedgewater",
  teacher: "Odile Marrack",
  timeZone: "Europe/London",
  concert: { name: "The Lantern Concert", inDays: 24 },
  weeks: 10,
} as const;

/** Where the tunes of the room come from. */
export const TUNE = "written for the Ropewalk room";

export interface DemoSchool {
  readonly name: SchoolName;
  /** What differs from the numbers that the school starts with. */
  readonly numbers?: Readonly<Record<string, unknown>>;
  readonly start?: number;
  readonly target?: number;
}

/** Ladders that the room keeps to use again. */
export const KEPT: readonly {
  readonly name: string;
  readonly start: number;
  readonly target: number;
  readonly schools: readonly DemoSchool[];
}[] = [
  {
    name: "From bar by bar to no click",
    start: 50,
    target: 100,
    schools: [
      { name: "joining", start: 50, target: 50 },
      { name: "forward-back" },
      { name: "withdraw" },
    ],
  },
  { name: "Control", start: 60, target: 100, schools: [{ name: "forward-back" }] },
  {
    name: "Chain for a hard place",
    start: 50,
    target: 90,
    schools: [{ name: "woven-chain", numbers: { step: 8 } }],
  },
];

export interface DemoPassage {
  readonly fromBar: number;
  readonly toBar: number;
  readonly pickupBeats?: number;
  readonly name?: string;
  readonly focus?: string;
  /** Weeks before today at which it was cut; 10 is the beginning. */
  readonly sinceWeek: number;
  /** What each week asks to be brought of it. */
  readonly bring?: "recording";
  readonly ladder: {
    /** One school, or several in a row. */
    readonly schools: readonly DemoSchool[];
    readonly start: number;
    readonly target: number;
    readonly clean?: number;
    /** One clean play is taken to be enough. */
    readonly once?: boolean;
    readonly rule: "comfortable" | "ended" | "ended-less";
    readonly minutes: number;
    readonly rest?: number;
    readonly hidden?: boolean;
    /** Some of its bars, for now. */
    readonly part?: { readonly fromBar: number; readonly toBar: number };
    readonly subdivision?: number;
  };
  /** Schools that it was given first, until so many weeks before today. */
  readonly first?: { readonly untilWeek: number; readonly schools: readonly DemoSchool[] };
  /** How it is learned; without, it is played only as `lately` says. */
  readonly learner?: Partial<LearnerTraits> & Pick<LearnerTraits, "ability" | "plateau">;
  readonly weakBars?: readonly number[];
}

export interface DemoPiece {
  readonly title: string;
  /** Its notes, a file in `tunes`; beside a PDF lie its page as an image, and the bars drawn over it. */
  readonly notes: string;
  readonly origin: string;
  readonly kind: "piece" | "etude" | "scale" | "drill";
  readonly bars: number;
  readonly metre: string;
  readonly changes?: string;
  readonly pickupBeats?: number;
  readonly markBpm: number;
  readonly markUnit: BeatUnit;
  readonly passages: readonly DemoPassage[];
  /** Its tempi, set at the end, and all of it as a passage that climbs in percent of them. */
  readonly tempi?: Tempi;
}

/** A sitting so many days ago: passages by their first bar, with their verdicts over and over. */
export interface Told {
  readonly daysAgo: number;
  readonly parts: readonly {
    readonly title: string;
    readonly fromBar: number;
    readonly minutes: number;
    /** "ccf" */
    readonly verdicts: string;
  }[];
}

export interface DemoStudent {
  readonly name: string;
  readonly instrument: string;
  /** Chance of practising on each day of the week, Sunday first. */
  readonly days: readonly number[];
  readonly sinceWeek: number;
  /** Nothing on the last so many days. */
  readonly silentDays?: number;
  /** Sittings of the last days whose plays are told one by one. */
  readonly lately?: readonly Told[];
  /** Stopped for pain so many days ago, and nothing since. */
  readonly painDaysAgo?: number;
  readonly notes: readonly string[];
  /** Days from today to the next lesson; 0 is today. Lessons are weekly. */
  readonly lessonIn: number;
  /** Minutes that there are by weekday, Monday first. */
  readonly minutes: readonly [number, number, number, number, number, number, number];
  /** What the teacher says at the lessons. */
  readonly word: string;
  /** Something besides the passages, asked each week. */
  readonly besides?: { readonly kind: ItemKind; readonly title: string; readonly focus: string };
  /** A question after the latest session. */
  readonly asks?: string;
  readonly feels?: Feeling;
  readonly parent?: string;
  /** By heart: bars that stand, and days since it was begun. */
  readonly byHeart?: { readonly stands: number; readonly sinceDays: number };
  readonly pieces: readonly DemoPiece[];
}

const part = (kind: BlockKind, ideal: number, priority: number, text = "") => ({
  ...{ kind, priority, text, always: kind === "slow-finish" },
  span: { minimum: Math.ceil(ideal / 2), ideal, maximum: ideal * 3 },
});

/** A plan of sessions that the whole room can use. */
export const CONCERT_PLAN = {
  act: "keep" as const,
  name: "The week before a concert",
  shared: true,
  shape: [
    part("warm-up", 4, 4, "slow, in the key of the programme"),
    part("hard", 6, 2),
    part("performing", 10, 1),
    part("listening", 3, 6, "your own recording of the run-through"),
    part("slow-finish", 3, 3),
    part("enjoyed", 4, 5),
  ],
};
