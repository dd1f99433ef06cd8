import type { Tempi } from "~/core/score";
import type { DemoPassage } from "./scenario";

const at = (low: number, high = low) => ({ low, high });
const region = { words: "", subdivision: 1, target: null, link: null };
const OPENING = "opening";

/** Five tempi in three beat units: the middle follows the opening, the return goes a little on. */
export const LAMPLIGHTERS_TEMPI: Tempi = {
  regions: [
    {
      ...region,
      id: OPENING,
      fromBar: 1,
      unit: "dotted-quarter",
      target: at(66),
      words: "the opening",
    },
    { ...region, id: "eighths", fromBar: 9, unit: "eighth", target: at(168, 186), words: "freely" },
    {
      ...region,
      id: "one-in-a-bar",
      fromBar: 17,
      unit: "dotted-half",
      link: { kind: "same", of: OPENING },
    },
    {
      ...region,
      id: "nine",
      fromBar: 25,
      unit: "dotted-quarter",
      link: { kind: "same", of: OPENING },
    },
    {
      ...region,
      id: "return",
      fromBar: 29,
      unit: "dotted-quarter",
      target: at(70),
      words: "the return",
      link: { kind: "ratio", of: OPENING, low: 1.03, high: 1.08 },
    },
  ],
  changes: [
    { kind: "gradual", bar: 39, beat: 1, beats: 2, percent: 70, back: false, through: false },
    { kind: "fermata", bar: 40, beat: 1, beats: 3, through: false },
  ],
};

/** The ladder of all of it, its tempi in percent of the full ones. */
export const WHOLE: Pick<DemoPassage, "ladder"> = {
  ladder: {
    schools: [{ name: "even-steps", numbers: { step: 6 } }],
    start: 60,
    target: 100,
    clean: 2,
    rule: "ended-less",
    minutes: 10,
  },
};
