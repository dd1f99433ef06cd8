import * as v from "valibot";

const MOST_WORDS = 12;
const LONGEST_WORD = 40;

const word = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1),
  v.maxLength(LONGEST_WORD, `A word of the scale has ${LONGEST_WORD} letters at most.`),
);

/** How a teacher rates what is handed in. */
export const ratingScaleSchema = v.variant("kind", [
  v.object({ kind: v.literal("none") }),
  v.object({
    kind: v.literal("words"),
    words: v.pipe(
      v.array(word),
      v.minLength(1, "Name a word at least."),
      v.maxLength(MOST_WORDS, `At most ${MOST_WORDS} words.`),
      v.check((words) => new Set(words).size === words.length, "Each word once."),
    ),
  }),
  v.object({
    kind: v.literal("points"),
    most: v.pipe(
      v.number("A number of points."),
      v.integer("Whole points."),
      v.minValue(2, "Two points at least."),
      v.maxValue(100, "A hundred points at most."),
    ),
  }),
]);
export type RatingScale = v.InferOutput<typeof ratingScaleSchema>;

/** What can be said on a scale, the best first; points as "7 of 10", from the most down to none. */
export function ratingsOf(scale: RatingScale): readonly string[] {
  switch (scale.kind) {
    case "none":
      return [];
    case "words":
      return scale.words;
    case "points":
      return Array.from({ length: scale.most + 1 }, (_, n) => `${scale.most - n} of ${scale.most}`);
  }
}
