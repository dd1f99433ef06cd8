import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { PassageLine } from "~/features/shapes";

type Answer = { readonly passages: readonly PassageLine[] };

/** Exercises of the library that the student is given in mid-lesson, with the passages they bring. */
export function useExercise() {
  const fetcher = useFetcher<Answer>();
  const [passages, setPassages] = useState<readonly PassageLine[]>([]);
  const brought = fetcher.data && "passages" in fetcher.data ? fetcher.data.passages : undefined;
  useEffect(() => {
    if (brought) {
      setPassages((before) => [
        ...before.filter(({ id }) => !brought.some((each) => each.id === id)),
        ...brought,
      ]);
    }
  }, [brought]);
  return {
    /** Of all exercises given since the page was opened. */
    passages,
    /** Of the one that was given last. */
    brought,
    busy: fetcher.state !== "idle",
    give: (id: string) => void fetcher.submit({ act: "exercise", id }, { method: "post" }),
  };
}
