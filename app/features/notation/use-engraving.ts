import { useEffect, useState } from "react";
import * as v from "valibot";
import { engravedSchema, type Engraved } from "~/core/score";

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
