import { useCallback, useEffect, useMemo, useState } from "react";
import { useForm } from "react-hook-form";
import { useFetcher } from "react-router";
import {
  afterChanges,
  itemChanges,
  itemsNow,
  planWeek,
  studentWeek,
  type AssignmentItem,
  type PassageOfWeek,
  type StudentWeek,
  type WeekFacts,
  type WeekTimes,
  type Written,
} from "~/core/week";
import type { Day } from "~/core/units";
import type { LessonForm } from "~/forms/lesson";
import { emptyMinutes, lessonResolver, useItems } from "./use-items";

/** The week that is on, as it is when its page is opened. */
export interface RunningWeek {
  readonly id: string;
  readonly from: Day;
  readonly until: Day;
  readonly since: Day;
  /** Its first day: what it says of its items is told from there. */
  readonly begins: Day;
  readonly lesson: Day | undefined;
  readonly text: StudentWeek["text"];
  /** All that it has said of its items. */
  readonly said: readonly AssignmentItem[];
  /** Those that are still asked. */
  readonly items: readonly AssignmentItem[];
  readonly stamp: string;
}

interface Inputs {
  readonly week: RunningWeek;
  readonly today: Day;
  readonly times: WeekTimes;
  readonly facts: WeekFacts;
  readonly raw: readonly string[];
  readonly passages: readonly PassageOfWeek[];
  readonly besides: readonly (Written & { readonly day: Day })[];
}

/** The week with other items from today on: what was asked and done before stands in it as well. */
function previewed(
  { week, today, times, facts, raw, passages, besides }: Inputs,
  changed: readonly AssignmentItem[],
): StudentWeek {
  const asked = { from: week.begins, items: week.said };
  const whole = changed.map((item) => ({ ...item, minutes: Math.max(1, item.minutes || 1) }));
  const items = afterChanges(asked, itemChanges(asked, whole, today));
  const { from, until, lesson } = week;
  const plan = planWeek({
    week: { from, until, lesson, items, since: week.begins },
    ...{ times, facts, today },
    raw: new Set(raw),
  });
  const text = { ...week.text, items: itemsNow(items).items };
  return studentWeek(
    { week: { ...week, text }, times, passages, spent: facts.spent, besides, today },
    plan,
  );
}

type Answer = { readonly errors: Readonly<Record<string, string>> } | { readonly changed: string };

/** A week that is on, changed in the page and previewed as one types; saved in one press. */
export function useChangeWeek(inputs: Inputs, home: string) {
  const { week } = inputs;
  const form = useForm<LessonForm>({
    resolver: lessonResolver,
    defaultValues: {
      from: week.from,
      until: week.until,
      text: { items: [...week.items], word: "", shape: null },
    },
  });
  const list = useItems(form);
  const write = useFetcher<Answer>();
  const asText = JSON.stringify(list.items);
  const [firstText] = useState(asText);
  const preview = useCallback(
    (items: readonly AssignmentItem[]) => previewed(inputs, items),
    [inputs],
  );
  const laid = useMemo(
    () => preview(JSON.parse(asText, emptyMinutes) as AssignmentItem[]),
    [preview, asText],
  );
  const { setError, handleSubmit } = form;
  const answer = write.data;
  const errors = answer && "errors" in answer ? answer.errors : undefined;
  useEffect(() => {
    for (const [path, message] of Object.entries(errors ?? {})) {
      if (path !== "form") setError(path as "from", { type: "server", message });
    }
  }, [errors, setError]);
  const done = answer !== undefined && "changed" in answer;
  useEffect(() => {
    if (done) window.location.assign(`${home}/week`);
  }, [done, home]);
  return {
    ...list,
    laid,
    preview,
    changed: asText !== firstText,
    refused: errors?.form,
    busy: write.state !== "idle" || done,
    save: () =>
      void handleSubmit(({ text }) =>
        write.submit(
          { week: JSON.stringify({ stamp: week.stamp, items: text.items }) },
          { method: "post" },
        ),
      )(),
  };
}
