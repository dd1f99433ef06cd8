import { compassOf, exerciseIn } from "~/core/exercise";
import { exerciseFile } from "~/core/formats";
import { resolveRegions } from "~/core/score";
import { median, ms, type Figure } from "./core";

const REGIONS = 40;

/** Regions of which each follows the one before it. */
const chained = Array.from({ length: REGIONS }, (_, index) => ({
  id: String(index),
  fromBar: index + 1,
  unit: "quarter" as const,
  target: index === 0 ? { low: 60, high: 80 } : null,
  words: "",
  subdivision: 1,
  link:
    index === 0 ? null : ({ kind: "ratio", of: String(index - 1), low: 0.99, high: 1.02 } as const),
}));

const recipe = {
  pattern: { kind: "scale", scale: "melodic-minor", octaves: 2 },
  direction: "up-down",
  rhythm: "eighth",
  words: "",
  ...compassOf("violin"),
} as const;

function writeOut(): void {
  const music = exerciseIn(recipe, { letter: "A", accidental: 0 });
  if (!music.ok) throw new Error(music.error);
  const mark = { unit: "quarter", bpm: 72 } as const;
  exerciseFile(music.value, recipe, { title: "Scale", composer: "", part: "Violin", mark });
}

/** Tempi that hang together, and exercises written out. */
export const musicFigures = (): Figure[] => [
  {
    what: `${REGIONS} linked regions resolved`,
    value: ms(median(100, () => resolveRegions(chained))),
  },
  { what: "a scale of two octaves written out and read again", value: ms(median(40, writeOut)) },
];
