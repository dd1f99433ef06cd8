/** A player of the band: how they practise, what they hand in, what they ask. */
export interface ClassPlayer {
  readonly name: string;
  readonly instrument: string;
  /** bpm at which every other play of the set bars is clean. */
  readonly ability: number;
  /** Minutes that there are by weekday, Monday first. */
  readonly minutes: readonly number[];
  /** Days before today on which they practised. */
  readonly days: readonly number[];
  readonly weakBars: readonly number[];
  readonly handsIn?: {
    readonly daysAgo: number;
    readonly line: string;
    /** What the teacher has said of it. */
    readonly rating?: string;
  };
  readonly asks?: string;
  /** Records a flawed and two clean plays each day, and listens back to them with a sharper ear. */
  readonly listensBack?: true;
  /** The teacher leaves them out of the clapping. */
  readonly excused?: true;
  /** Stopped for pain the day before the piece was set. */
  readonly hurt?: true;
}

const daily = (minutes: number) => [minutes, minutes, minutes, minutes, minutes, minutes, 0];

/** The band of the Ropewalk room, and what it was set. */
export const CLASS: {
  readonly name: string;
  readonly piece: {
    readonly title: string;
    readonly notes: string;
    readonly bars: number;
    readonly mark: number;
    readonly fromBar: number;
    readonly toBar: number;
    readonly focus: string;
  };
  readonly players: readonly ClassPlayer[];
} = {
  name: "The Ropewalk Band",
  piece: {
    title: "Low Tide Procession",
    notes: "low-tide-procession.abc",
    bars: 24,
    mark: 96,
    fromBar: 9,
    toBar: 16,
    focus: "accuracy counts, not tempo",
  },
  players: [
    {
      name: "Agnes Tolliver",
      instrument: "flute",
      ability: 79,
      minutes: daily(25),
      days: [7, 6, 4, 3, 1],
      weakBars: [12],
      handsIn: { daysAgo: 1, line: "The long phrase in one breath at last.", rating: "secure" },
      listensBack: true,
    },
    {
      name: "Caleb Rusk",
      instrument: "clarinet",
      ability: 70,
      minutes: daily(20),
      days: [7, 5, 3, 2],
      weakBars: [12],
      handsIn: { daysAgo: 2, line: "Bar 12 still runs away." },
    },
    {
      name: "Dorrit Vane",
      instrument: "clarinet",
      ability: 65,
      minutes: daily(15),
      days: [6, 4, 2],
      weakBars: [15],
      handsIn: { daysAgo: 2, line: "" },
      asks: "In bar 12, do we tongue both of the repeated notes?",
    },
    {
      name: "Edwin Sallow",
      instrument: "cornet",
      ability: 73,
      minutes: daily(20),
      days: [7, 6, 5, 4, 3, 2, 1],
      weakBars: [10],
      handsIn: { daysAgo: 3, line: "Recorded on Tuesday." },
    },
    {
      name: "Fenella Wray",
      instrument: "cornet",
      ability: 60,
      minutes: daily(15),
      days: [5, 3],
      weakBars: [10],
      asks: "Bars 13–14: where may we breathe?",
    },
    {
      name: "Gideon Marsh",
      instrument: "tenor horn",
      ability: 57,
      minutes: daily(10),
      days: [6, 2],
      weakBars: [15],
    },
    {
      name: "Hester Quill",
      instrument: "tenor horn",
      ability: 68,
      minutes: daily(20),
      days: [7, 4, 1],
      weakBars: [15],
      handsIn: { daysAgo: 1, line: "Slow, but every note is there." },
    },
    {
      name: "Isaac Thorne",
      instrument: "euphonium",
      ability: 66,
      minutes: daily(20),
      days: [6, 5, 3, 1],
      weakBars: [12],
      handsIn: { daysAgo: 1, line: "" },
      asks: "Is bar 16 held its full length?",
    },
    {
      name: "Jessamy Poole",
      instrument: "bass clarinet",
      ability: 55,
      minutes: daily(15),
      days: [4, 2],
      weakBars: [10],
    },
    {
      name: "Lemuel Hay",
      instrument: "side drum",
      ability: 81,
      minutes: daily(5),
      days: [],
      weakBars: [],
      excused: true,
    },
    {
      name: "Myrtle Oake",
      instrument: "flute",
      ability: 63,
      minutes: daily(20),
      days: [],
      weakBars: [],
    },
    {
      name: "Rufus Dray",
      instrument: "tuba",
      ability: 62,
      minutes: daily(20),
      days: [],
      weakBars: [],
      hurt: true,
    },
  ],
};
