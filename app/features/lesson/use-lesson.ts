import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { Day } from "~/core/units";
import type {
  AssignmentItem,
  AssignmentText,
  Decision,
  ReviewedItem,
  StudentWeek,
} from "~/core/week";
import type { LessonDraft } from "./lesson-shapes";

const PREVIEW_AFTER_MS = 400;

/** What was there when it was read: whoever writes over anything else is told. */
type Read = Pick<LessonDraft, "version" | "after">;

interface Refusal {
  readonly errors: Readonly<Record<string, string>>;
  readonly theirs?: Read & { readonly text: AssignmentText };
}
type Answer =
  | Refusal
  | { readonly preview: StudentWeek }
  | { readonly kept: { readonly version: number } }
  | { readonly set: string };

export interface LessonState {
  readonly items: readonly AssignmentItem[];
  readonly word: string;
  readonly goal: AssignmentText["goal"];
  readonly from: Day;
  readonly until: Day;
}

/** Next week as it is put together: previewed as one types, kept, set; typing is never lost. */
export function useLesson(home: string, draft: LessonDraft, last: readonly ReviewedItem[]) {
  const [state, setState] = useState<LessonState>({ ...draft.text, ...draft });
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
  const preview = useFetcher<Answer>();
  const write = useFetcher<Answer>();
  const sent = ({ version, after }: Read = read) =>
    JSON.stringify({
      version,
      after,
      from: state.from,
      until: state.until,
      text: { items: state.items, word: state.word, goal: state.goal },
      decisions,
    });
  const { submit } = preview;
  const body = sent();
  useEffect(() => {
    const ask = () => void submit({ act: "preview", week: body }, { method: "post" });
    const timer = setTimeout(ask, PREVIEW_AFTER_MS);
    return () => clearTimeout(timer);
  }, [body, submit]);

  const previewErrors = preview.data && "errors" in preview.data ? preview.data.errors : undefined;
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
    preview: preview.data && "preview" in preview.data ? preview.data.preview : undefined,
    errors: refusal?.errors ?? previewErrors ?? {},
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
