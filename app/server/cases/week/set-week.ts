import * as v from "valibot";
import type { Ladder } from "~/core/ladder";
import { assignmentSchema, type AssignmentItem, type AssignmentText } from "~/core/week";
import { err, ok, sentences, type Result } from "~/core/result";
import { daysBetween, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import {
  dropOutlook,
  assignmentsOf,
  draftOf,
  dropDraft,
  insertDraft,
  insertWeek,
  insertLadder,
  lastsUntil,
  keptLadders,
  passagesOfPerson,
  replaceWeek,
  saveDraft,
  setPassageState,
  studentById,
  studioById,
  writeWeek,
  type Assignment,
  type Draft,
  type Passage,
} from "~/db/queries";
import { lessonFields } from "~/forms/lesson";
import { aheadOf, lookedBackOn, stampOf, WEEKS_AROUND } from "../../plan/week-on";
import { todayIn, type Services } from "../../services";
import { ladderForPassage } from "../give/ladder-from-library";

const LONGEST_WEEK = 28;
const MOST_OF_A_STAMP = 60;

const decisionsSchema = v.record(
  v.pipe(v.string(), v.uuid()),
  v.picklist(["open", "finished", "carried", "changed"]),
);

const sentSchema = v.object({
  version: v.pipe(v.number(), v.integer(), v.minValue(0)),
  /** The newest week that was set when the page was opened, as it was then. */
  after: v.nullable(v.pipe(v.string(), v.maxLength(MOST_OF_A_STAMP))),
  ...lessonFields,
  text: assignmentSchema,
  decisions: decisionsSchema,
});

const lessonFormSchema = v.object({
  act: v.picklist(["keep", "set"]),
  week: v.pipe(v.string(), v.parseJson(undefined, "The week can't be read."), sentSchema),
});
type Sent = v.InferOutput<typeof sentSchema>;

/** Why a week was not written; what was typed stays on the page. */
export interface NotWritten {
  readonly errors: Readonly<Record<string, string>>;
  /** What somebody else has written meanwhile. */
  readonly theirs?: {
    readonly version: number;
    readonly after: string | null;
    readonly text: AssignmentText;
  };
}

function impossible({ from, until }: Sent, today: Day): Record<string, string> | undefined {
  if (from < today) return { from: "This lesson lies in the past. A week begins today or later." };
  if (until <= from) return { until: "The next lesson comes after this one." };
  if (daysBetween(from, until) > LONGEST_WEEK) return { until: "At most four weeks at once." };
  return undefined;
}

/** What the page sends: errors by dotted path, as "text.items.2.title". */
export function readLesson(form: FormData, today: Day) {
  const read = v.safeParse(lessonFormSchema, {
    act: form.get("act"),
    week: form.get("week") ?? undefined,
  });
  if (!read.success) {
    const found = sentences(read.issues);
    const errors = Object.fromEntries(
      Object.entries(found).map(([path, sentence]) => [path.replace(/^week\./, ""), sentence]),
    );
    return err<NotWritten>({ errors });
  }
  const errors = impossible(read.output.week, today);
  return errors ? err<NotWritten>({ errors }) : ok(read.output);
}

const NOT_THEIRS = "An item names a passage that isn't this student's any more.";

export function foreign(items: readonly AssignmentItem[], passages: readonly Passage[]) {
  const index = items.findIndex(
    ({ passageId }) => passageId !== null && !passages.some(({ id }) => id === passageId),
  );
  return index < 0 ? undefined : { [`text.items.${index}.title`]: NOT_THEIRS };
}

const CHANGED =
  "Somebody else has changed this week since you opened it. Nothing of yours is lost: keep yours, or look at theirs.";
const ALREADY_SET =
  "Somebody else has set a week since you opened this one. Nothing of yours is lost: keep yours to set it in its place, or look at theirs.";

/** The draft as it was when the page read it, or what somebody else has written since. */
async function draftRead(
  tx: Queries,
  studioId: string,
  personId: string,
  { version, after }: Pick<Sent, "version" | "after">,
): Promise<Result<Draft | undefined, NotWritten>> {
  const draft = await draftOf(tx, studioId, personId);
  const [newest] = await assignmentsOf(tx, studioId, personId, 1);
  const stamp = newest ? stampOf(newest) : null;
  const theirs = { version: draft?.version ?? 0, after: stamp };
  if (newest && stamp !== after) {
    const { text: other } = draft ?? newest;
    const form = after?.startsWith(newest.id) ? CHANGED : ALREADY_SET;
    return err({ errors: { form }, theirs: { ...theirs, text: other } });
  }
  if (draft && draft.version !== version) {
    return err({ errors: { form: CHANGED }, theirs: { ...theirs, text: draft.text } });
  }
  return ok(draft);
}

/** Keeps the draft; the student sees nothing of it yet. */
export const keepWeek = (services: Services, studioId: string, personId: string, sent: Sent) =>
  services.db.transaction(
    async (tx): Promise<Result<{ id: string; version: number }, NotWritten>> => {
      await studentById(tx, studioId, personId);
      const errors = foreign(sent.text.items, await passagesOfPerson(tx, studioId, personId));
      if (errors) return err({ errors });
      const read = await draftRead(tx, studioId, personId, sent);
      if (!read.ok) return read;
      const { from, until, text, version } = sent;
      const id = read.value?.id ?? services.newId();
      if (!read.value) {
        await insertDraft(tx, studioId, { id, personId, from, until, text, begun: true });
        return ok({ id, version: 1 });
      }
      await saveDraft(tx, studioId, { id, version, from, until, text, begun: true });
      return ok({ id, version: version + 1 });
    },
  );

/**
 * Writes what was said of last week's items. A finished passage is safe from now on, and is asked
 * no more from today, where the next week is prepared and has not begun.
 */
async function decide(
  tx: Queries,
  studioId: string,
  last: Assignment | undefined,
  { decisions, today }: { readonly decisions: Sent["decisions"]; readonly today: Day },
  passages: readonly Passage[],
): Promise<void> {
  if (!last) return;
  const items = last.text.items.map((item) => {
    const decision = decisions[item.id] ?? item.decision;
    const ends = decision === "finished" && item.decision !== "finished" && item.until === null;
    return { ...item, decision, until: ends && last.from_day < today ? today : item.until };
  });
  await writeWeek(tx, studioId, last, { until: last.until_day, items }, today);
  for (const { passageId, decision } of items) {
    // What was put away meanwhile is not safe for that.
    const isThere = passages.some(({ id }) => id === passageId);
    if (passageId && isThere && decision === "finished") {
      await setPassageState(tx, studioId, passageId, "safe");
    }
  }
}

/**
 * The weeks before a lesson last until it: one that was to last longer, and one that lasted until
 * this week's first day, `was`, before it moved.
 */
async function endBefore(
  tx: Queries,
  studioId: string,
  weeks: readonly Assignment[],
  { day, was }: { readonly day: Day; readonly was: Day | undefined },
): Promise<void> {
  for (const { id, from_day: from, until_day } of weeks) {
    if (from >= day || (until_day <= day && until_day !== was)) continue;
    await lastsUntil(tx, studioId, id, day);
  }
}

interface GivenLadder {
  readonly passageId: string;
  readonly ladder: Ladder;
}

/** The library's ladders as the items give them to passages, each fitted to its passage. */
export function laddersGiven(
  items: readonly AssignmentItem[],
  passages: readonly Passage[],
  kept: Awaited<ReturnType<typeof keptLadders>>,
  today: Day,
): Result<GivenLadder[], NotWritten> {
  const given: GivenLadder[] = [];
  for (const [index, { passageId, keptLadderId }] of items.entries()) {
    const passage = passages.find(({ id }) => id === passageId);
    const ladder = kept.find(({ id }) => id === keptLadderId)?.ladder;
    if (!passage || !ladder) continue;
    const fitted = ladderForPassage(ladder, passage, today);
    if (!fitted.ok) return err({ errors: { [`text.items.${index}.title`]: fitted.error } });
    given.push({ passageId: passage.id, ladder: fitted.value });
  }
  return ok(given);
}

export async function giveLadders(
  { newId, now }: Pick<Services, "newId" | "now">,
  tx: Queries,
  studioId: string,
  given: readonly GivenLadder[],
): Promise<void> {
  for (const { passageId, ladder } of given) {
    await insertLadder(tx, studioId, passageId, { id: newId(), ladder, at: new Date(now()) });
  }
}

/** Ladders that the library gives with this week and has not given with it before. */
export const newlyGiven = (items: readonly AssignmentItem[], set: Assignment | undefined) =>
  items.map((item) => {
    const before = set?.text.items.find(({ id }) => id === item.id);
    const given = before?.keptLadderId === item.keptLadderId && before.passageId === item.passageId;
    return given ? { ...item, keptLadderId: null } : item;
  });

/**
 * Sets the week: last week ends, its items are decided, ladders of the library are given out. One
 * that was set and has not begun before today is set anew, with what is different now.
 */
export const setWeek = (services: Services, studioId: string, personId: string, sent: Sent) =>
  services.db.transaction(async (tx): Promise<Result<{ id: string }, NotWritten>> => {
    const today = todayIn(services, await studioById(tx, studioId));
    await studentById(tx, studioId, personId);
    // How often something is asked is what its chances go by.
    await dropOutlook(tx, studioId, personId);
    const passages = await passagesOfPerson(tx, studioId, personId);
    if (sent.text.items.length === 0) {
      return err({ errors: { form: "A week has at least one item." } });
    }
    const errors = foreign(sent.text.items, passages);
    if (errors) return err({ errors });
    const weeks = await assignmentsOf(tx, studioId, personId, WEEKS_AROUND);
    const set = aheadOf(weeks, today);
    const last = lookedBackOn(weeks, today);
    const items = newlyGiven(sent.text.items, set);
    const given = laddersGiven(items, passages, await keptLadders(tx, studioId), today);
    if (!given.ok) return given;
    const draft = await draftRead(tx, studioId, personId, sent);
    if (!draft.ok) return draft;
    await giveLadders(services, tx, studioId, given.value);
    await decide(tx, studioId, last, { decisions: sent.decisions, today }, passages);
    if (draft.value) await dropDraft(tx, studioId, draft.value.id);
    const { from, until, text } = sent;
    const at = new Date(services.now());
    const week = { id: set?.id ?? services.newId(), personId, from, until, text, at };
    await (set ? replaceWeek : insertWeek)(tx, studioId, week);
    const before = weeks.filter((week) => week !== set);
    await endBefore(tx, studioId, before, { day: sent.from, was: set?.from_day });
    return ok({ id: week.id });
  });
