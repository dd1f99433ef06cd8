import { useEffect, useState } from "react";
import { kept as onDevice } from "~/components/kept";

/** How much of the notes is hidden, for playing from memory. */
export const HIDDEN_NOTES = [
  "none",
  "alternate",
  "after-first-beat",
  "more-each-day",
  "all",
] as const;
export type HiddenNotes = (typeof HIDDEN_NOTES)[number];

const keyOf = (passageId: string) => `fidus-hidden-notes-${passageId}`;
const sinceKeyOf = (passageId: string) => `fidus-hidden-since-${passageId}`;

/** Whole days of this device's own calendar, to be counted from. */
const dayNow = (): number =>
  Math.floor((Date.now() - new Date().getTimezoneOffset() * 60_000) / 86_400_000);

/**
 * What of a passage's notes is hidden, remembered on this device; and a look at all of it for one
 * play.
 */
export function useByHeart(passageId: string, plays: number) {
  const [chosen, setChosen] = useState<HiddenNotes>("none");
  const [since, setSince] = useState(0);
  const [lookedAt, setLookedAt] = useState<number | undefined>(undefined);
  useEffect(() => {
    const kept = onDevice.get(keyOf(passageId));
    setChosen(HIDDEN_NOTES.find((each) => each === kept) ?? "none");
    setSince(Number(onDevice.get(sinceKeyOf(passageId))) || dayNow());
  }, [passageId]);
  const looking = lookedAt === plays;
  return {
    chosen,
    hidden: looking ? ("none" as const) : chosen,
    looking: looking && chosen !== "none",
    /** One bar is hidden on the day on which that was chosen, and one more on each day after it. */
    hiddenBars: since === 0 ? 1 : Math.max(1, dayNow() - since + 1),
    fromMemory: chosen !== "none" && !looking,
    choose: (next: HiddenNotes) => {
      setChosen(next);
      onDevice.set(keyOf(passageId), next);
      onDevice.set(sinceKeyOf(passageId), String(dayNow()));
      setSince(dayNow());
    },
    look: () => setLookedAt(plays),
  };
}
export type ByHeart = ReturnType<typeof useByHeart>;
