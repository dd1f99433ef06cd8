import type { Step } from "./staircase";

/** A ladder on its third rung, for pages that say what this is. */
export const SAMPLE_STAIRS: readonly Step[] = [
  { tempo: 54, minutes: 1, status: "passed" },
  { tempo: 60, minutes: 1.3, status: "passed" },
  { tempo: 66, minutes: 1.8, status: "now" },
  { tempo: 72, minutes: 2.4, status: "ahead" },
  { tempo: 78, minutes: 3.2, status: "ahead" },
  { tempo: 84, minutes: 4.4, status: "ahead" },
  { tempo: 90, minutes: 6, status: "ahead" },
  { tempo: 96, minutes: 8, status: "ahead" },
];
