import type { LearnerTraits } from "~/core/simulate";
import type { BeatUnit } from "~/core/units";

/** The invented music room, its people, and how each of them learns. */
export const ROOM = {
  name: "The Ropewalk Music Room, Sedgewater",
  teacher: "Odile Marrack",
  timeZone: "Europe/London",
  concert: { name: "The Lantern Concert", inDays: 24 },
  weeks: 10,
} as const;

export interface DemoPassage {
  readonly fromBar: number;
  readonly toBar: number;
  readonly pickupBeats?: number;
  readonly name?: string;
  readonly focus?: string;
  /** Weeks before today at which it was cut; 10 is the beginning. */
  readonly sinceWeek: number;
  readonly ladder: {
    readonly school: "even" | "percent";
    readonly step?: number;
    readonly start: number;
    readonly target: number;
    readonly clean?: number;
    readonly rule: "comfortable" | "ended" | "ended-less";
    readonly minutes: number;
    readonly rest?: number;
    readonly hidden?: boolean;
    readonly subdivision?: number;
  };
  readonly learner: Partial<LearnerTraits> & Pick<LearnerTraits, "ability" | "plateau">;
  readonly weakBars?: readonly number[];
}

export interface DemoPiece {
  readonly title: string;
  readonly origin: string;
  readonly kind: "piece" | "etude" | "scale" | "drill";
  readonly bars: number;
  readonly metre: string;
  readonly changes?: string;
  readonly pickupBeats?: number;
  readonly markBpm: number;
  readonly markUnit: BeatUnit;
  readonly passages: readonly DemoPassage[];
}

export interface DemoStudent {
  readonly name: string;
  readonly instrument: string;
  /** Chance of practising on each day of the week, Sunday first. */
  readonly days: readonly number[];
  readonly sinceWeek: number;
  /** Nothing on the last so many days. */
  readonly silentDays?: number;
  /** Stopped for pain so many days ago, and nothing since. */
  readonly painDaysAgo?: number;
  readonly notes: readonly string[];
  readonly pieces: readonly DemoPiece[];
}

const SWELL = "written for the Ropewalk room";

export const STUDENTS: readonly DemoStudent[] = [
  {
    name: "Ines Calloway",
    instrument: "harp",
    days: [0.5, 0.9, 0.9, 0.7, 0.9, 0.8, 0.9],
    sinceWeek: 10,
    notes: [
      "Left hand quieter, it sings now.",
      "Place the fourth finger before it is needed.",
      "Slow one at the end felt like breathing.",
      "Question: may I bring out the tenor in bar 11?",
    ],
    pieces: [
      {
        title: "The Ferry at Low Water",
        origin: SWELL,
        kind: "piece",
        bars: 24,
        metre: "3/4",
        changes: "17 2/4, 19 3/4",
        pickupBeats: 1,
        markBpm: 96,
        markUnit: "quarter",
        passages: [
          {
            fromBar: 1,
            toBar: 4,
            pickupBeats: 1,
            name: "Opening",
            focus: "even thumbs",
            sinceWeek: 10,
            ladder: {
              school: "even",
              step: 6,
              start: 54,
              target: 96,
              clean: 3,
              rule: "ended-less",
              minutes: 8,
            },
            learner: { ability: 66, plateau: 132, learning: 0.0042 },
            weakBars: [3],
          },
          {
            fromBar: 9,
            toBar: 12,
            focus: "place early",
            sinceWeek: 8,
            ladder: {
              school: "percent",
              start: 48,
              target: 96,
              clean: 4,
              rule: "ended-less",
              minutes: 10,
            },
            learner: { ability: 55, plateau: 118, learning: 0.0036 },
            weakBars: [11],
          },
          {
            fromBar: 17,
            toBar: 20,
            name: "Across the current",
            focus: "one pulse through 2/4",
            sinceWeek: 5,
            ladder: {
              school: "even",
              step: 4,
              start: 52,
              target: 92,
              clean: 3,
              rule: "comfortable",
              minutes: 10,
              rest: 20,
            },
            learner: { ability: 58, plateau: 104, learning: 0.0034 },
            weakBars: [18, 19],
          },
        ],
      },
      {
        title: "Rolled Tenths",
        origin: "exercise",
        kind: "drill",
        bars: 8,
        metre: "4/4",
        markBpm: 88,
        markUnit: "quarter",
        passages: [
          {
            fromBar: 1,
            toBar: 8,
            sinceWeek: 6,
            ladder: {
              school: "even",
              step: 5,
              start: 50,
              target: 80,
              clean: 3,
              rule: "comfortable",
              minutes: 5,
            },
            learner: { ability: 62, plateau: 96, learning: 0.003 },
          },
        ],
      },
    ],
  },
  {
    name: "Bram Oyelaran",
    instrument: "trombone",
    days: [0.4, 0.8, 0.7, 0.8, 0.8, 0.6, 0.5],
    sinceWeek: 10,
    notes: ["Slide late into fourth.", "Same wall as yesterday.", "Air first, then tongue."],
    pieces: [
      {
        title: "Sluice Gate March",
        origin: SWELL,
        kind: "piece",
        bars: 32,
        metre: "2/4",
        markBpm: 116,
        markUnit: "quarter",
        passages: [
          {
            fromBar: 13,
            toBar: 16,
            name: "The descent",
            focus: "slide before the tongue",
            sinceWeek: 10,
            ladder: {
              school: "even",
              step: 4,
              start: 68,
              target: 116,
              clean: 4,
              rule: "ended-less",
              minutes: 12,
            },
            learner: { ability: 76, plateau: 92, learning: 0.0035, fatigue: 0.0012 },
            weakBars: [15],
          },
          {
            fromBar: 1,
            toBar: 8,
            sinceWeek: 7,
            ladder: {
              school: "even",
              step: 8,
              start: 72,
              target: 116,
              clean: 3,
              rule: "ended",
              minutes: 8,
            },
            learner: { ability: 88, plateau: 126, learning: 0.003 },
            weakBars: [6],
          },
        ],
      },
      {
        title: "Lip Slurs in Seven Positions",
        origin: "étude",
        kind: "etude",
        bars: 14,
        metre: "4/4",
        markBpm: 72,
        markUnit: "half",
        passages: [
          {
            fromBar: 1,
            toBar: 7,
            focus: "no bump between notes",
            sinceWeek: 10,
            ladder: {
              school: "percent",
              start: 40,
              target: 66,
              clean: 3,
              rule: "comfortable",
              minutes: 6,
            },
            learner: { ability: 52, plateau: 70, learning: 0.002 },
          },
        ],
      },
    ],
  },
  {
    name: "Petra Haldane",
    instrument: "accordion",
    days: [0.3, 0.5, 0.4, 0.6, 0.4, 0.3, 0.6],
    sinceWeek: 10,
    silentDays: 8,
    notes: ["Bellows turn in the middle of the bar.", "Only ten minutes tonight."],
    pieces: [
      {
        title: "Barge Waltz",
        origin: SWELL,
        kind: "piece",
        bars: 32,
        metre: "3/4",
        pickupBeats: 2,
        markBpm: 54,
        markUnit: "dotted-half",
        passages: [
          {
            fromBar: 9,
            toBar: 16,
            focus: "bellows turn on the bar line",
            sinceWeek: 9,
            ladder: {
              school: "even",
              step: 3,
              start: 28,
              target: 54,
              clean: 3,
              rule: "comfortable",
              minutes: 10,
            },
            learner: { ability: 34, plateau: 58, learning: 0.0026, forgetting: 0.03 },
            weakBars: [12, 13],
          },
        ],
      },
      {
        title: "Limping Heron",
        origin: SWELL,
        kind: "piece",
        bars: 20,
        metre: "2+2+3/8",
        markBpm: 210,
        markUnit: "eighth",
        passages: [
          {
            fromBar: 1,
            toBar: 4,
            focus: "the long beat is last",
            sinceWeek: 5,
            ladder: {
              school: "even",
              step: 10,
              start: 120,
              target: 210,
              clean: 3,
              rule: "ended-less",
              minutes: 10,
            },
            learner: { ability: 138, plateau: 220, learning: 0.003 },
            weakBars: [4],
          },
        ],
      },
    ],
  },
  {
    name: "Yusuf Arden",
    instrument: "mandolin",
    days: [0.8, 0.9, 0.9, 0.9, 0.9, 0.8, 0.9],
    sinceWeek: 10,
    painDaysAgo: 2,
    notes: [
      "Pick hand tight after twenty minutes.",
      "Wrist sore by the end.",
      "Looser from the elbow.",
    ],
    pieces: [
      {
        title: "Chandlery Reel",
        origin: SWELL,
        kind: "piece",
        bars: 16,
        metre: "2/2",
        pickupBeats: 0,
        markBpm: 104,
        markUnit: "half",
        passages: [
          {
            fromBar: 5,
            toBar: 8,
            focus: "tremolo from the elbow",
            sinceWeek: 10,
            ladder: {
              school: "percent",
              start: 50,
              target: 104,
              clean: 5,
              rule: "ended-less",
              minutes: 15,
              hidden: true,
            },
            learner: { ability: 64, plateau: 108, learning: 0.003, fatigue: 0.002 },
            weakBars: [7],
          },
          {
            fromBar: 13,
            toBar: 16,
            sinceWeek: 6,
            ladder: {
              school: "even",
              step: 5,
              start: 56,
              target: 100,
              clean: 4,
              rule: "comfortable",
              minutes: 12,
            },
            learner: { ability: 62, plateau: 98, learning: 0.003, fatigue: 0.0015 },
            weakBars: [14],
          },
        ],
      },
    ],
  },
  {
    name: "Maud Ferrier",
    instrument: "oboe",
    days: [0.5, 0.7, 0.6, 0.7, 0.6, 0.5, 0.7],
    sinceWeek: 10,
    notes: ["Reed tired.", "Breathe at the end of bar 22, nowhere else.", "Forked F still late."],
    pieces: [
      {
        title: "Lamplighter's Air",
        origin: SWELL,
        kind: "piece",
        bars: 40,
        metre: "6/8",
        changes: "25 9/8, 29 6/8",
        pickupBeats: 1,
        markBpm: 66,
        markUnit: "dotted-quarter",
        passages: [
          {
            fromBar: 21,
            toBar: 24,
            name: "Long breath",
            focus: "forked F in time",
            sinceWeek: 9,
            ladder: {
              school: "even",
              step: 3,
              start: 36,
              target: 66,
              clean: 4,
              rule: "ended-less",
              minutes: 12,
            },
            learner: { ability: 42, plateau: 60, learning: 0.0018 },
            weakBars: [22, 23],
          },
          {
            fromBar: 25,
            toBar: 28,
            focus: "nine is three threes",
            sinceWeek: 4,
            ladder: {
              school: "even",
              step: 3,
              start: 33,
              target: 66,
              clean: 3,
              rule: "comfortable",
              minutes: 12,
            },
            learner: { ability: 38, plateau: 58, learning: 0.0016 },
            weakBars: [27],
          },
        ],
      },
      {
        title: "Scale of the Week: A flat",
        origin: "scale",
        kind: "scale",
        bars: 4,
        metre: "4/4",
        markBpm: 100,
        markUnit: "quarter",
        passages: [
          {
            fromBar: 1,
            toBar: 4,
            sinceWeek: 3,
            ladder: {
              school: "even",
              step: 6,
              start: 60,
              target: 100,
              clean: 3,
              rule: "comfortable",
              minutes: 6,
              subdivision: 2,
            },
            learner: { ability: 82, plateau: 120, learning: 0.003 },
          },
        ],
      },
    ],
  },
  {
    name: "Tobi Wren",
    instrument: "treble recorder",
    days: [0.5, 0.9, 0.5, 0.5, 0.5, 0.5, 0.5],
    sinceWeek: 0.4,
    notes: [],
    pieces: [
      {
        title: "Two Ducks",
        origin: SWELL,
        kind: "piece",
        bars: 8,
        metre: "4/4",
        markBpm: 84,
        markUnit: "quarter",
        passages: [
          {
            fromBar: 1,
            toBar: 2,
            focus: "soft tongue",
            sinceWeek: 0.4,
            ladder: {
              school: "even",
              step: 6,
              start: 48,
              target: 84,
              clean: 3,
              rule: "comfortable",
              minutes: 5,
            },
            learner: { ability: 58, plateau: 100, learning: 0.004 },
          },
        ],
      },
    ],
  },
];
