import * as v from "valibot";

const MOST_PLAYS = 50;
const LONGEST_WINDOW = 10;
const MOST_RULES = 4;

const plays = v.pipe(
  v.number("Say how many plays."),
  v.integer("Plays are counted whole."),
  v.minValue(1, "At least 1 play."),
  v.maxValue(MOST_PLAYS, `At most ${MOST_PLAYS} plays.`),
);
const numberFrom = (min: number, max: number, what: string) =>
  v.pipe(
    v.number(`Say how many ${what}.`),
    v.minValue(min, `At least ${min} ${what}.`),
    v.maxValue(max, `At most ${max} ${what}.`),
  );

const ruleSchema = v.variant(
  "kind",
  [
    v.object({
      kind: v.literal("in-a-row"),
      plays,
      afterFlawed: v.picklist(["reset", "minus-one"], "Choose what a flawed play does."),
    }),
    v.object({ kind: v.literal("in-all"), plays }),
    v.pipe(
      v.object({
        kind: v.literal("of-last"),
        plays,
        window: v.pipe(
          v.number("Say how many plays to look back."),
          v.integer("Plays are counted whole."),
          v.minValue(1, "At least 1 play."),
          v.maxValue(LONGEST_WINDOW, `At most ${LONGEST_WINDOW} plays back.`),
        ),
      }),
      v.forward(
        v.check(
          ({ plays: clean, window }) => clean <= window,
          "There can't be more clean plays than plays looked at.",
        ),
        ["plays"],
      ),
    ),
    /** So many minutes at the tempo, with at least this share clean. */
    v.object({
      kind: v.literal("minutes"),
      minutes: numberFrom(0.25, 60, "minutes"),
      percent: numberFrom(0, 100, "percent"),
    }),
    /** Plays, clean or not: to feel something rather than to get it right. */
    v.object({ kind: v.literal("played"), plays }),
    /** The player says that it feels easy. */
    v.object({ kind: v.literal("easy") }),
    /** The latest measured play is this even, in milliseconds of spread. */
    v.object({ kind: v.literal("timing"), within: numberFrom(5, 200, "milliseconds") }),
  ],
  "Choose a gate.",
);

export type Rule = v.InferOutput<typeof ruleSchema>;
export type RuleKind = Rule["kind"];
export const RULE_KINDS = [
  "in-a-row",
  "in-all",
  "of-last",
  "minutes",
  "easy",
  "timing",
  "played",
] as const satisfies readonly RuleKind[];

/** When may I go up? Rules that must all hold. A single rule stands for a list of one. */
export const gateSchema = v.pipe(
  v.unknown(),
  v.transform((gate) => (Array.isArray(gate) ? (gate as unknown[]) : [gate])),
  v.array(ruleSchema),
  v.minLength(1, "A gate has at least one rule."),
  v.maxLength(MOST_RULES, `A gate has at most ${MOST_RULES} rules.`),
  v.readonly(),
);
export type Gate = v.InferOutput<typeof gateSchema>;

export type Verdict = "clean" | "flawed";
