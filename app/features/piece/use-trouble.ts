import { useState } from "react";
import { useFetcher } from "react-router";
import type { BarRange } from "~/components/use-bar-selection";
import { PASSAGE_STATES, type BarMarks, type PassageState } from "~/core/score";

export type Brush = PassageState | "none";

const isState = (value: unknown): value is PassageState =>
  PASSAGE_STATES.some((state) => state === value);

/** The marks as they will be once what is on its way has arrived. */
function withTouched(kept: BarMarks, sent: FormData): BarMarks {
  const [from, to] = [Number(sent.get("fromBar")), Number(sent.get("toBar"))];
  const mark = sent.get("mark");
  const others = Object.entries(kept).filter(([bar]) => Number(bar) < from || Number(bar) > to);
  const touched = isState(mark)
    ? Array.from({ length: to - from + 1 }, (_, i) => [from + i, mark] as const)
    : [];
  return Object.fromEntries([...others, ...touched]);
}

/** Reading a piece once: which mark the next bars get, and the marks as they are being set. */
export function useTrouble(kept: BarMarks) {
  const fetcher = useFetcher();
  const [brush, setBrush] = useState<Brush>("raw");
  const [marking, setMarking] = useState(false);
  const [pending, setPending] = useState<BarRange | undefined>(undefined);
  const marks = fetcher.formData ? withTouched(kept, fetcher.formData) : kept;
  /** Sends the bars that were touched. */
  const touch = () => {
    if (!pending) return;
    const { fromBar, toBar } = pending;
    void fetcher.submit({ act: "mark", mark: brush, fromBar, toBar }, { method: "post" });
    setPending(undefined);
  };
  return { marking, setMarking, brush, setBrush, pending, setPending, touch, marks };
}
export type Trouble = ReturnType<typeof useTrouble>;
