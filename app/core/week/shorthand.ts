import * as v from "valibot";

const MOST_CODES = 30;

/** A player's own codes for what they write down: "s" for slow. */
export const shorthandSchema = v.pipe(
  v.array(
    v.object({
      code: v.pipe(
        v.string(),
        v.trim(),
        v.regex(
          /^\p{L}[\p{L}\p{N}]{0,5}$/u,
          "A code is one to six letters or digits, a letter first.",
        ),
      ),
      means: v.pipe(
        v.string(),
        v.trim(),
        v.minLength(1, "Say what the code means."),
        v.maxLength(40, "At most 40 letters."),
      ),
    }),
  ),
  v.maxLength(MOST_CODES, `At most ${MOST_CODES} codes.`),
  v.check(
    (codes) => new Set(codes.map(({ code }) => code.toLowerCase())).size === codes.length,
    "A code stands there twice.",
  ),
);
export type Shorthand = v.InferOutput<typeof shorthandSchema>;

/** What somebody begins with. */
export const USUAL_SHORTHAND: Shorthand = [
  { code: "s", means: "slow" },
  { code: "m", means: "from memory" },
  { code: "w", means: "whole" },
];

const MINUTES = /^(?:(.*)\s)?(\d{1,3})(?:min|m|')?$/i;

/** What a line is about, and the minutes at its end; none where none stand there. */
export function typedLine(line: string): { about: string; minutes: number | undefined } {
  const read = MINUTES.exec(line.trim());
  const minutes = Number(read?.[2] ?? 0);
  return minutes > 0
    ? { about: (read![1] ?? "").trim(), minutes }
    : { about: line.trim(), minutes: undefined };
}

/** Spells a line out: "waltz 5-8 s m". A code that is not known stays as it was typed. */
export function spelt(line: string, codes: Shorthand): string {
  const meaning = (word: string) =>
    codes.find(({ code }) => code.toLowerCase() === word.toLowerCase())?.means;
  let text = "";
  for (const word of line.trim().split(/\s+/)) {
    const means = meaning(word);
    // What is spelt out stands apart from what it is about.
    const between = text === "" ? "" : means ? ", " : " ";
    text += between + (means ?? word);
  }
  return text;
}

/** The codes of a list, one a line: the code, a blank, what it means. */
export const codesOf = (list: string): { code: string; means: string }[] =>
  list
    .split(/\r?\n/)
    .filter((line) => line.trim() !== "")
    .map((line) => {
      const [code = "", ...means] = line.trim().split(/\s+/);
      return { code, means: means.join(" ") };
    });
