import { useEffect, useMemo, useState } from "react";
import { useFetcher } from "react-router";
import type { Day } from "~/core/units";
import {
  fitted,
  previewOf,
  type AssignmentItem,
  type AssignmentText,
  type Before,
  type Decision,
  type Fix,
  type ReviewedItem,
  type WeekTimes,
} from "~/core/week";
import type { LessonDraft } from "./lesson-shapes";

/** What was there when it was read: whoever writes over anything else is told. */
type Read = Pick<LessonDraft, "version" | "after">;

interface Refusal {
  readonly errors: Readonly<Record<string, string>>;
  readonly theirs?: Read & { readonly text: AssignmentText };
}
type Answer = Refusal | { readonly kept: { readonly version: number } } | { readonly set: string };

export interface LessonState {
  readonly items: readonly AssignmentItem[];
  readonly word: string;
  readonly shape: string | null;
  readonly from: Day;
  readonly until: Day;
}

interface LessonInputs {
  readonly home: string;
  readonly draft: LessonDraft;
  readonly last: readonly ReviewedItem[];
  readonly times: WeekTimes;
  readonly before: Before;
}

/** Next week as it is put together: previewed as one types, kept, set; typing is never lost. */
export function useLesson({ home, draft, last, times, before }: LessonInputs) {
  const [state, setState] = useState<LessonState>({
    items: draft.text.items,
    word: draft.text.word,
    shape: draft.text.shape,
    from: draft.from,
    until: draft.until,
  });
  const [read, setRead] = useState<Read>(draft);
  const [changed, setChanged] = useState(!draft.kept);
  const [decisions, setDecisions] = useState<Readonly<Record<string, Decision>>>(() =>
    Object.fromEntries(
      last.map(({ id, decision, suggested }) => [
        id,
        decision !== "open" ? decision : draft.kept ? keptDecision(draft, id) : suggested,
      ]),
    ),
  );
  const write = useFetcher<Answer>();
  // A date that is being typed may be none yet: the week is then drawn as it was suggested.
  const inputs = useMemo(() => {
    const whole = state.from !== "" && state.until > state.from;
    const { from, until } = whole ? state : draft;
    const text = { ...draft.text, items: [...state.items] };
    return { from, until, text, times, before };
  }, [state, draft, times, before]);
  const preview = useMemo(() => previewOf(inputs), [inputs]);
  const sent = ({ version, after }: Read = read) =>
    JSON.stringify({
      version,
      after,
      from: state.from,
      until: state.until,
      text: { items: state.items, word: state.word, goal: preview.text.goal, shape: state.shape },
      decisions,
    });
  const answer = write.data;
  const refusal = answer && "errors" in answer ? answer : undefined;
  const keptVersion = answer && "kept" in answer ? answer.kept.version : undefined;
  useEffect(() => {
    if (keptVersion === undefined) return;
    setRead((before) => ({ ...before, version: keptVersion }));
    setChanged(false);
  }, [keptVersion]);

  const setId = answer && "set" in answer ? answer.set : undefined;
  useEffect(() => {
    // A page of its own: a preview that is still on its way must not hold up the going there.
    if (setId !== undefined) window.location.assign(`${home}/weeks/${setId}`);
  }, [setId, home]);

  const change = (part: Partial<LessonState>) => {
    setChanged(true);
    // A field that was refused is being put right; what somebody else wrote stays told.
    if (refusal && !refusal.theirs) write.reset();
    setState((before) => ({ ...before, ...part }));
  };
  const send = (act: "keep" | "set", over = read) =>
    void write.submit({ act, week: sent(over) }, { method: "post" });
  return {
    ...state,
    change,
    setItem: (id: string, part: Partial<AssignmentItem>) =>
      change({ items: state.items.map((item) => (item.id === id ? { ...item, ...part } : item)) }),
    add: (item: AssignmentItem) => change({ items: [...state.items, item] }),
    remove: (id: string) => change({ items: state.items.filter((item) => item.id !== id) }),
    decisions,
    decide: (item: ReviewedItem, decision: Decision) => {
      setDecisions((before) => ({ ...before, [item.id]: decision }));
      const others = state.items.filter(({ id }) => id !== item.id);
      const there = state.items.find(({ id }) => id === item.id);
      if (decision === "finished") change({ items: others });
      else if (!there && item.next) change({ items: [...state.items, item.next] });
    },
    preview,
    /** Makes what is asked fit into the days. */
    fix: (by: Fix) => {
      const items = fitted(inputs, by);
      if (items) change({ items });
    },
    errors: refusal?.errors ?? {},
    theirs: refusal?.theirs,
    keep: () => send("keep"),
    set: () => send("set"),
    /** Writes over what somebody else has written. */
    keepMine: () => {
      if (!refusal?.theirs) return;
      setRead(refusal.theirs);
      send("keep", refusal.theirs);
    },
    takeTheirs: () => {
      const theirs = refusal?.theirs;
      if (!theirs) return;
      setState((before) => ({ ...before, ...theirs.text }));
      setRead(theirs);
      write.reset();
      setChanged(false);
    },
    changed,
    busy: write.state !== "idle" || setId !== undefined,
  };
}

const keptDecision = (draft: LessonDraft, id: string): Decision =>
  draft.text.items.some((item) => item.id === id) ? "carried" : "finished";
