import * as v from "valibot";
import { beatUnitSchema, MOST_BARS, tempoSchema } from "./piece";

export const MOST_REGIONS = 200;
const MOST_CHANGES = 200;
const MOST_WORDS = 60;
const MOST_RATIO = 10;
const MOST_HELD = 64;

const bar = v.pipe(
  v.number("Give a bar number."),
  v.integer("Bars are whole numbers."),
  v.minValue(1, "Bars are counted from 1."),
  v.maxValue(MOST_BARS, `A piece has at most ${MOST_BARS} bars.`),
);
const id = v.pipe(v.string(), v.minLength(1), v.maxLength(40));
const ratio = v.pipe(
  v.number("Give a ratio as a number."),
  v.gtValue(0, "A ratio is above 0."),
  v.maxValue(MOST_RATIO, `A ratio is at most ${MOST_RATIO}.`),
);

/** What a region's tempo has to do with that of another. */
const linkSchema = v.variant(
  "kind",
  [
    /** Notes last as long as there: ♩ = ♩. */
    v.object({ kind: v.literal("same"), of: id }),
    /** A note here lasts as long as another did there: ♩ = the ♩. before. */
    v.object({ kind: v.literal("note"), of: id, unit: beatUnitSchema, was: beatUnitSchema }),
    /** So many times its beats a minute, each counted in its own unit. */
    v.pipe(
      v.object({ kind: v.literal("ratio"), of: id, low: ratio, high: ratio }),
      v.check(({ low, high }) => low <= high, "The span of a ratio goes from low to high."),
    ),
    v.object({ kind: v.literal("at-most"), of: id }),
    v.object({ kind: v.literal("at-least"), of: id }),
  ],
  "Choose what it has to do with the other.",
);
export type RegionLink = v.InferOutput<typeof linkSchema>;
export const LINK_KINDS = [
  "same",
  "note",
  "ratio",
  "at-most",
  "at-least",
] as const satisfies readonly RegionLink["kind"][];

const rangeSchema = v.pipe(
  v.object({ low: tempoSchema, high: tempoSchema }),
  v.check(({ low, high }) => low <= high, "A range of tempi goes from low to high."),
);

/** Bars from one on, up to the next region, that have a tempo of their own. */
const regionSchema = v.object({
  id,
  fromBar: bar,
  unit: beatUnitSchema,
  /** One tempo or a range, in bpm of `unit`; null where its link gives it. */
  target: v.nullable(rangeSchema),
  words: v.pipe(v.string(), v.trim(), v.maxLength(MOST_WORDS, `At most ${MOST_WORDS} letters.`)),
  /** Clicks a beat in which it is practised. */
  subdivision: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(8)),
  link: v.nullable(linkSchema),
});
export type TempoRegion = v.InferOutput<typeof regionSchema>;

const beat = v.pipe(v.number("Give a beat."), v.minValue(1, "Beats are counted from 1."));
const through = v.optional(v.boolean(), false);

/** What bends the time within a region. Beats are those of the region's unit. */
const changeSchema = v.variant("kind", [
  v.object({
    kind: v.literal("gradual"),
    bar,
    beat,
    /** Over so many beats. */
    beats: v.pipe(
      v.number("Over how many beats?"),
      v.minValue(1, "At least 1 beat."),
      v.maxValue(MOST_HELD * 4, `At most ${MOST_HELD * 4} beats.`),
    ),
    /** The tempo it leads to, in percent of that from which it begins. */
    percent: v.pipe(
      v.number("To how many percent?"),
      v.minValue(20, "20 % at least."),
      v.maxValue(500, "500 % at most."),
    ),
    /** The region's own tempo again after it. */
    back: v.optional(v.boolean(), false),
    /** The click goes through it. */
    through,
  }),
  v.object({
    kind: v.picklist(["fermata", "breath"]),
    bar,
    beat,
    /** A fermata: held so many beats in all. A breath: so many beats of silence after the beat. */
    beats: v.pipe(
      v.number("How many beats?"),
      v.minValue(0.25, "A quarter of a beat at least."),
      v.maxValue(MOST_HELD, `At most ${MOST_HELD} beats.`),
    ),
    through,
  }),
]);
export type TempoChange = v.InferOutput<typeof changeSchema>;
export const CHANGE_KINDS = ["gradual", "fermata", "breath"] as const;

const givesATempo = ({ link }: TempoRegion): boolean =>
  link !== null && link.kind !== "at-most" && link.kind !== "at-least";

/** The regions that lead from one to another back to itself; undefined where none does. */
export function circleIn(regions: readonly TempoRegion[]): TempoRegion[] | undefined {
  const byId = new Map(regions.map((region) => [region.id, region]));
  for (const first of regions) {
    const way = [first];
    for (let at = first; at.link;) {
      const next = byId.get(at.link.of);
      if (!next) break;
      if (next === first) return way;
      if (way.includes(next)) break;
      way.push(next);
      at = next;
    }
  }
  return undefined;
}

const told = (regions: readonly TempoRegion[]): string =>
  regions.map(({ fromBar }) => `bar ${fromBar}`).join(", ");

/** The tempi of a piece: regions in reading order, and what bends the time within them. */
export const tempiSchema = v.pipe(
  v.object({
    regions: v.pipe(
      v.array(regionSchema),
      v.minLength(1, "A piece has a tempo from bar 1."),
      v.maxLength(MOST_REGIONS, `At most ${MOST_REGIONS} regions.`),
    ),
    changes: v.pipe(
      v.array(changeSchema),
      v.maxLength(MOST_CHANGES, `At most ${MOST_CHANGES} of them.`),
    ),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    const { regions } = dataset.value;
    if (regions[0] && regions[0].fromBar !== 1) {
      return addIssue({ message: "The first region begins at bar 1." });
    }
    const ids = new Set(regions.map((region) => region.id));
    if (ids.size < regions.length) return addIssue({ message: "Two regions have one name." });
    for (const [at, region] of regions.entries()) {
      const before = regions[at - 1];
      if (before && before.fromBar === region.fromBar) {
        addIssue({ message: `Two regions begin at bar ${region.fromBar}.` });
      } else if (before && before.fromBar > region.fromBar) {
        addIssue({ message: `The region at bar ${region.fromBar} stands behind a later one.` });
      }
      if (region.target === null && !givesATempo(region)) {
        addIssue({ message: `The region at bar ${region.fromBar} has no tempo: give one.` });
      }
      if (region.link && !ids.has(region.link.of)) {
        addIssue({ message: `The region at bar ${region.fromBar} follows one that is not there.` });
      }
    }
    const circle = circleIn(regions);
    if (circle) addIssue({ message: `These follow each other in a circle: ${told(circle)}.` });
  }),
);
export type Tempi = v.InferOutput<typeof tempiSchema>;

/** The region in which a bar lies; a pickup belongs to the first. */
export const regionAt = <R extends Pick<TempoRegion, "fromBar">>(
  regions: readonly R[],
  bar: number,
): R => regions.findLast(({ fromBar }) => fromBar <= bar) ?? regions[0]!;
