import { useEffect, useState } from "react";
import * as v from "valibot";
import { engravedSchema, type Engraved } from "~/core/score";

/** Widths come in such steps, so that windows of nearly the same size are given the same drawing. */
const STEP = 80;
/** The units of a staff's height, in which the engraver is told the width. */
const STAFF_UNITS = 72;

/** How wide a system is for a width in CSS px, so that a staff is `staff` px high. */
export const systemWidth = (width: number, staff: number): number =>
  Math.max(STEP * 5, Math.round((width * STAFF_UNITS) / staff / STEP) * STEP);

export type Engraving =
  | { readonly state: "coming"; readonly shown: Engraved | undefined }
  | { readonly state: "there"; readonly shown: Engraved }
  | { readonly state: "away"; readonly shown: Engraved | undefined };

/** The music at an address, engraved for a width; what was there stays until the next has come. */
export function useEngraving(address: string | undefined): Engraving {
  const [engraving, setEngraving] = useState<Engraving>({ state: "coming", shown: undefined });
  useEffect(() => {
    if (address === undefined) return;
    const leaving = new AbortController();
    setEngraving(({ shown }) => ({ state: "coming", shown }));
    fetch(address, { signal: leaving.signal, headers: { Accept: "application/json" } })
      .then(async (answer) => {
        if (!answer.ok) throw new Error(String(answer.status));
        setEngraving({ state: "there", shown: v.parse(engravedSchema, await answer.json()) });
      })
      .catch(() => {
        if (!leaving.signal.aborted) setEngraving(({ shown }) => ({ state: "away", shown }));
      });
    return () => leaving.abort();
  }, [address]);
  return engraving;
}
