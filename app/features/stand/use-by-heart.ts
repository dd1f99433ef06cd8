import { useEffect, useState } from "react";

/** How much of the notes is hidden, for playing from memory. */
export const HIDDEN_NOTES = ["none", "alternate", "after-first-beat", "all"] as const;
export type HiddenNotes = (typeof HIDDEN_NOTES)[number];

const KEY = "fidus-hidden-notes";

/** What of the notes is hidden, remembered on this device; and a look at all of it for one play. */
export function useByHeart(plays: number) {
  const [chosen, setChosen] = useState<HiddenNotes>("none");
  const [lookedAt, setLookedAt] = useState<number | undefined>(undefined);
  useEffect(() => {
    const kept = HIDDEN_NOTES.find((each) => each === localStorage.getItem(KEY));
    if (kept) setChosen(kept);
  }, []);
  const looking = lookedAt === plays;
  return {
    chosen,
    hidden: looking ? ("none" as const) : chosen,
    looking: looking && chosen !== "none",
    choose: (next: HiddenNotes) => {
      setChosen(next);
      localStorage.setItem(KEY, next);
    },
    look: () => setLookedAt(plays),
  };
}
export type ByHeart = ReturnType<typeof useByHeart>;
