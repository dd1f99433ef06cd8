import * as v from "valibot";

/** What kind of work a stage asks for: new notes, notes made sure, a run-through. */
export const STAGE_WORK = ["learning", "practising", "performing"] as const;
export type StageWork = (typeof STAGE_WORK)[number];

const MOST_STAGES = 20;
const LONGEST_NAME = 60;

const stageSchema = v.object({
  name: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, "Give the stage a name."),
    v.maxLength(LONGEST_NAME, `Keep it under ${LONGEST_NAME} characters.`),
  ),
  /** Undecided, the state of each passage says it. */
  work: v.nullable(v.picklist(STAGE_WORK)),
});

export const stagesSchema = v.pipe(
  v.object({
    list: v.pipe(
      v.array(stageSchema),
      v.minLength(1, "A piece has at least one stage."),
      v.maxLength(MOST_STAGES, `At most ${MOST_STAGES} stages.`),
    ),
    /** Where the piece stands, from 0. */
    at: v.pipe(v.number(), v.integer(), v.minValue(0)),
  }),
  v.check(({ list, at }) => at < list.length, "That stage isn't there."),
);
export type Stages = v.InferOutput<typeof stagesSchema>;

const stage = (name: string, work: StageWork | null) => ({ name, work });

/** From the first look to the stage. */
export const USUAL_STAGES: Stages = {
  list: [
    stage("study and mark", null),
    stage("layers", "learning"),
    stage("very slow", "learning"),
    stage("up to tempo", "practising"),
    stage("five good ones", "practising"),
    stage("run-through", "performing"),
    stage("from memory", "performing"),
    stage("concert", "performing"),
  ],
  at: 0,
};

/** The stages with other names, a line each; one that stays keeps its work. */
export function renamed({ list, at }: Stages, lines: readonly string[]): Stages {
  const next = lines
    .map((line) => line.trim())
    .filter(Boolean)
    .map((name) => list.find((each) => each.name === name) ?? stage(name, null));
  const here = next.findIndex(({ name }) => name === list[at]?.name);
  return { list: next, at: Math.max(0, here) };
}
