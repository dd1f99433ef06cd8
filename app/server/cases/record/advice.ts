import * as v from "valibot";
import {
  adviceFor,
  adviceKey,
  changedLadder,
  ladderChangeSchema,
  RULE_NAMES,
  shownAdvice,
} from "~/core/judge";
import { err, ok, type Result } from "~/core/result";
import {
  dismissAdvice,
  changeToday,
  dismissedAdvice,
  insertQuestion,
  ladderNumbered,
  passageById,
  passagesOfPerson,
  rulesOff,
  studioById,
  switchRuleOff,
  switchRuleOn,
  takeBackToday,
  type Passage,
} from "~/db/queries";
import { adviceFacts } from "../../plan/advice-facts";
import { changedToday } from "../../plan/changed-today";
import { todayIn, type Services } from "../../services";
import { aheadInputs } from "./outlook";
import { setLadder } from "../piece/passages";
import { fitsPassage } from "../piece/workshop";

/** A passage as advice names it. */
export function passageNamed(
  passages: readonly Passage[],
  { passageId }: { readonly passageId: string | null },
) {
  const passage = passages.find(({ id }) => id === passageId);
  return passage
    ? {
        title: passage.piece.title,
        name: passage.name,
        fromBar: passage.fromBar,
        toBar: passage.toBar,
        pieceId: passage.pieceId,
        of: passage.ladder?.of ?? null,
      }
    : null;
}

type Changed = Awaited<ReturnType<typeof changedToday>>;

interface Known {
  /** The passages, where they are read already. */
  readonly passages?: readonly Passage[];
  /** As the student has them today, where what was changed for today is read already. */
  readonly today?: Changed;
  /** It is for the student, so by the ladders as they are changed for today. */
  readonly forStudent?: boolean;
}

/** What is advised for a student now, and which rules are switched off. */
export async function adviceOf(
  services: Services,
  studioId: string,
  personId: string,
  known: Known = {},
) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const asSet = known.passages ?? known.today?.passages;
  const [theirs, inputs, off, dismissed] = await Promise.all([
    asSet ?? passagesOfPerson(db, studioId, personId),
    aheadInputs(services, studio, personId),
    rulesOff(db, studioId, personId),
    dismissedAdvice(db, studioId, personId),
  ]);
  const today =
    known.forStudent && !known.today
      ? await changedToday(db, studioId, personId, inputs.today, theirs)
      : known.today;
  const passages = today?.passages ?? theirs;
  const facts = await adviceFacts(db, studioId, personId, passages, inputs);
  const all = adviceFor(facts, new Set(off.map(({ rule }) => rule)));
  return {
    // After a stop for pain there is nothing to advise but to ask a person.
    hurts: inputs.hurts,
    advice: inputs.hurts
      ? []
      : shownAdvice(all, dismissed).map((each) => ({
          ...each,
          key: adviceKey(each),
          passage: passageNamed(passages, each),
        })),
    /** Where each rule sees something today, also what is not among the few that are shown. */
    sees: inputs.hurts
      ? []
      : all.map((each) => ({ rule: each.rule, passage: passageNamed(passages, each) })),
    /** What is changed for today, and for today only. */
    forToday: (today?.changes ?? []).flatMap((each) => {
      const passage = passageNamed(passages, each);
      return passage ? [{ ...each, passage }] : [];
    }),
    off,
  };
}

const idSchema = v.pipe(v.string(), v.uuid());
const jsonText = v.pipe(v.string(), v.maxLength(500), v.parseJson());
const ruleName = v.picklist(RULE_NAMES, "There is no such rule.");

/** What is done with advice, read from its form. */
export const adviceActSchema = v.variant("act", [
  v.object({
    act: v.literal("do"),
    passage: idSchema,
    change: v.pipe(jsonText, ladderChangeSchema),
  }),
  v.object({
    act: v.literal("undo"),
    passage: idSchema,
    number: v.pipe(v.string(), v.regex(/^\d{1,6}$/), v.transform(Number)),
  }),
  v.object({
    act: v.literal("today"),
    passage: idSchema,
    rule: ruleName,
    change: v.pipe(jsonText, ladderChangeSchema),
  }),
  v.object({ act: v.literal("not-today"), passage: idSchema, rule: ruleName }),
  v.object({
    act: v.literal("ask"),
    id: idSchema,
    text: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(500)),
  }),
  v.object({
    act: v.literal("dismiss"),
    key: v.pipe(v.string(), v.minLength(1), v.maxLength(1000)),
  }),
  v.object({
    act: v.literal("off"),
    rule: ruleName,
    whom: v.picklist(["student", "everyone"], "For whom?"),
  }),
  v.object({ act: v.literal("on"), rule: ruleName }),
]);
export type AdviceAct = v.InferOutput<typeof adviceActSchema>;

/** What came of it: the ladder's number before, by which it can be taken back. */
export type AdviceDone =
  | { readonly done: "changed"; readonly passageId: string; readonly before: number }
  | { readonly done: "today" | "not-today" }
  | { readonly done: "taken-back" | "asked" | "dismissed" | "off" | "on" };

interface Of {
  readonly studioId: string;
  readonly personId: string;
}

const NO_LADDER = "This passage has no ladder that could be changed so.";

/** Puts a ladder in force for a student's passage: changed, or an earlier one again. */
async function replaceLadder(
  services: Services,
  { studioId, personId }: Of,
  act: Extract<AdviceAct, { act: "do" | "undo" }>,
): Promise<Result<AdviceDone, string>> {
  const { db } = services;
  const passage = await passageById(db, studioId, act.passage);
  if (passage.personId !== personId) return err(NO_LADDER);
  const now = await ladderNumbered(db, studioId, passage.id, null);
  const next =
    act.act === "do"
      ? now && changedLadder(now.ladder, act.change)
      : (await ladderNumbered(db, studioId, passage.id, act.number))?.ladder;
  if (!now || !next) return err(NO_LADDER);
  const fits = fitsPassage(next, passage);
  if (!fits.ok) return err(Object.values(fits.error.errors)[0] ?? NO_LADDER);
  await setLadder(services, studioId, passage.id, fits.value, "follow");
  return act.act === "undo"
    ? ok({ done: "taken-back" })
    : ok({ done: "changed", passageId: passage.id, before: now.number });
}

/** Changes a passage's ladder for today only; what is set stays, and the lesson is told. */
async function changeForToday(
  services: Services,
  { studioId, personId }: Of,
  { passage: passageId, rule, change }: Extract<AdviceAct, { act: "today" }>,
): Promise<Result<AdviceDone, string>> {
  const { db, now } = services;
  const passage = await passageById(db, studioId, passageId);
  const changed = passage.ladder && changedLadder(passage.ladder, change);
  if (passage.personId !== personId || !changed) return err(NO_LADDER);
  const fits = fitsPassage(changed, passage);
  if (!fits.ok) return err(Object.values(fits.error.errors)[0] ?? NO_LADDER);
  const day = todayIn(services, await studioById(db, studioId));
  const at = new Date(now());
  await changeToday(db, studioId, personId, { passageId, day, rule, change, at });
  return ok({ done: "today" });
}

/** Does what was pressed with a piece of advice. What a teacher has set, only a teacher changes. */
export async function actOnAdvice(
  services: Services,
  of: Of,
  act: AdviceAct,
): Promise<Result<AdviceDone, string>> {
  const { db, now } = services;
  const { studioId, personId } = of;
  switch (act.act) {
    case "do":
    case "undo":
      return replaceLadder(services, of, act);
    case "today":
      return changeForToday(services, of, act);
    case "not-today": {
      const day = todayIn(services, await studioById(db, studioId));
      const { passage: passageId, rule } = act;
      await takeBackToday(db, studioId, personId, { passageId, day, rule });
      return ok({ done: "not-today" });
    }
    case "ask": {
      const day = todayIn(services, await studioById(db, studioId));
      await insertQuestion(db, studioId, personId, { id: act.id, day, text: act.text });
      return ok({ done: "asked" });
    }
    case "dismiss":
      await dismissAdvice(db, studioId, personId, act.key, new Date(now()));
      return ok({ done: "dismissed" });
    case "off":
      await switchRuleOff(db, studioId, act.whom === "everyone" ? null : personId, act.rule);
      return ok({ done: "off" });
    case "on":
      await switchRuleOn(db, studioId, personId, act.rule);
      return ok({ done: "on" });
  }
}
