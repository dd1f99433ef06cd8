import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useForm } from "react-hook-form";
import { useFetcher } from "react-router";
import {
  previewOf,
  type AssignmentItem,
  type AssignmentText,
  type Before,
  type Decision,
  type ReviewedItem,
  type WeekTimes,
} from "~/core/week";
import type { LessonForm } from "~/forms/lesson";
import { kept } from "~/components/kept";
import type { TypedLesson } from "~/forms/typed-lesson";
import type { LessonDraft } from "./lesson-shapes";
import { TYPED_KEY } from "./typed-key";
import { emptyMinutes, lessonResolver, useItems } from "./use-items";
import { useTyped } from "./use-typed";

/** What was there when it was read: whoever writes over anything else is told. */
type Read = Pick<LessonDraft, "version" | "after">;

interface Refusal {
  readonly errors: Readonly<Record<string, string>>;
  readonly theirs?: Read & { readonly text: AssignmentText };
}
type Answer = Refusal | { readonly kept: { readonly version: number } } | { readonly set: string };

interface LessonInputs {
  readonly home: string;
  readonly draft: LessonDraft;
  readonly last: readonly ReviewedItem[];
  readonly times: WeekTimes;
  readonly before: Before;
  /** What the server has of what was typed and not saved. */
  readonly typed: TypedLesson | undefined;
}

const formOf = ({ from, until, text: { items, word, shape } }: LessonDraft): LessonForm => ({
  from,
  until,
  text: { items, word, shape },
});

/** Next week as it is put together: previewed as one types, kept, set; typing is never lost. */
export function useLesson({ home, draft, last, times, before, typed }: LessonInputs) {
  const form = useForm<LessonForm>({ resolver: lessonResolver, defaultValues: formOf(draft) });
  const { getValues, setError, handleSubmit } = form;
  const list = useItems(form);
  const { values } = list;
  const asText = JSON.stringify(values);
  const [firstText] = useState(asText);
  const [keptText, setKeptText] = useState(draft.kept || draft.set ? asText : "");
  const [read, setRead] = useState<Read>(draft);
  const [decisions, setDecisions] = useState<Readonly<Record<string, Decision>>>(() =>
    Object.fromEntries(
      last.map(({ id, decision, suggested }) => [
        id,
        decision !== "open" ? decision : draft.kept ? keptDecision(draft, id) : suggested,
      ]),
    ),
  );
  const saidText = JSON.stringify(decisions);
  const [keptSaid, setKeptSaid] = useState(saidText);
  const write = useFetcher<Answer>();
  // A date that is being typed may be none yet: the week is then drawn as it was suggested.
  const inputs = useMemo(() => {
    const { from, until, text } = JSON.parse(asText, emptyMinutes) as LessonForm;
    const days = from !== "" && until > from ? { from, until } : draft;
    return {
      from: days.from,
      until: days.until,
      text: { ...draft.text, items: text.items },
      times,
      before,
    };
  }, [asText, draft, times, before]);
  const preview = useCallback(
    (items: readonly AssignmentItem[]) =>
      previewOf({ ...inputs, text: { ...inputs.text, items: [...items] } }),
    [inputs],
  );
  const week = useMemo(() => previewOf(inputs), [inputs]);
  const answer = write.data;
  const refusal = answer && "errors" in answer ? answer : undefined;
  const keptVersion = answer && "kept" in answer ? answer.kept.version : undefined;
  const sent = useRef("");
  const sentSaid = useRef("");
  const [refusedText, setRefusedText] = useState("");
  useEffect(() => {
    if (keptVersion === undefined) return;
    setRead((before) => ({ ...before, version: keptVersion }));
    setKeptText(sent.current);
    setKeptSaid(sentSaid.current);
  }, [keptVersion]);
  useEffect(() => {
    setRefusedText(sent.current);
    for (const [path, message] of Object.entries(refusal?.errors ?? {})) {
      if (path !== "form") setError(path as "from", { type: "server", message });
    }
  }, [refusal, setError]);
  const setId = answer && "set" in answer ? answer.set : undefined;
  useEffect(() => {
    // A page of its own: a preview that is still on its way must not hold up the going there.
    if (setId === undefined) return;
    kept.removeAll(`${TYPED_KEY} ${home} `);
    window.location.assign(`${home}/weeks/${setId}`);
  }, [setId, home]);

  const laidOut = () => {
    form.reset(JSON.parse(keptText || firstText) as LessonForm);
    setDecisions(JSON.parse(keptSaid) as typeof decisions);
    setRead({ ...draft, ...(keptVersion === undefined ? {} : { version: keptVersion }) });
  };
  const changedNow = asText !== (keptText || firstText) || saidText !== keptSaid;
  const typedBefore = useTyped({
    home,
    there: typed,
    text: `${asText} ${saidText}`,
    changed: changedNow,
    snapshot: () => ({ values: getValues() as TypedLesson["values"], decisions, read }),
    restore: (found) => {
      form.reset(found.values as LessonForm);
      setDecisions((now) => ({ ...now, ...found.decisions }));
      setRead(found.read);
    },
  });

  const send = (act: "keep" | "set", { version, after } = read) =>
    void handleSubmit(({ from, until, text }) => {
      sent.current = JSON.stringify(getValues());
      sentSaid.current = saidText;
      const week = { version, after, from, until, decisions, text };
      return write.submit({ act, week: JSON.stringify(week) }, { method: "post" });
    })();
  return {
    ...list,
    decisions,
    decide: (item: ReviewedItem, decision: Decision) => {
      setDecisions((before) => ({ ...before, [item.id]: decision }));
      const there = values.text.items.findIndex(({ id }) => id === item.id);
      if (decision === "finished" && there >= 0) list.remove(there);
      else if (decision !== "finished" && there < 0 && item.next) {
        list.add(item.next);
      }
    },
    week,
    preview,
    /** What is refused of the whole, while nothing has been changed since. */
    refused:
      refusal && (refusal.theirs || refusedText === asText) ? refusal.errors.form : undefined,
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
      const { from, until } = getValues();
      const { items, word, shape } = theirs.text;
      const taken = { from, until, text: { items, word, shape } };
      form.reset(taken);
      setRead(theirs);
      write.reset();
      setKeptText(JSON.stringify(taken));
    },
    changed: asText !== keptText,
    /** Something typed before and not saved: on the page again, or typed elsewhere. */
    typedBefore: typedBefore.before,
    goOnTyped: typedBefore.goOn,
    discardTyped: () => typedBefore.discard(laidOut),
    busy: write.state !== "idle" || setId !== undefined,
  };
}

export type Lesson = ReturnType<typeof useLesson>;

const keptDecision = (draft: LessonDraft, id: string): Decision =>
  draft.text.items.some((item) => item.id === id) ? "carried" : "finished";
