import type { Score, ScoreBar } from "..";

/** A bar of a score with nothing in it, but for what is asked. */
export const aBar = (change: Partial<ScoreBar> = {}): ScoreBar => ({
  label: "",
  length: [1, 1],
  metre: { beats: 4, unit: 4 },
  fifths: 0,
  minor: false,
  repeatFrom: false,
  repeatTimes: 1,
  endings: [],
  jumps: [],
  notes: [],
  ...change,
});

/** A score of such bars for one part on two staves. */
export const aScore = (bars: readonly Partial<ScoreBar>[], pickup = false): Score => ({
  title: "",
  composer: "",
  pickup,
  bars: bars.map(aBar),
  parts: [{ id: "P1", name: "", staves: 2, voices: 1, transposition: 0 }],
  tempi: [],
  unread: [],
});
