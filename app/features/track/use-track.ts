import { useCallback, useEffect, useRef, useState } from "react";
import { renderInWorker } from "~/workers/client";

export type Track =
  | { readonly state: "none" }
  | { readonly state: "making"; readonly share: number }
  | { readonly state: "ready"; readonly address: string };

/** A track that is made in a worker: how far it is, and where it lies once it is there. */
export function useTrack() {
  const [track, setTrack] = useState<Track>({ state: "none" });
  const end = useRef<(() => void) | undefined>(undefined);
  const address = useRef<string | undefined>(undefined);
  const forget = useCallback(() => {
    end.current?.();
    end.current = undefined;
    if (address.current) URL.revokeObjectURL(address.current);
    address.current = undefined;
  }, []);
  useEffect(() => forget, [forget]);
  const make = useCallback(
    (request: Parameters<typeof renderInWorker>[0]) => {
      forget();
      setTrack({ state: "making", share: 0 });
      end.current = renderInWorker(request, {
        onShare: (share) => setTrack({ state: "making", share }),
        onDone: (file) => {
          address.current = URL.createObjectURL(file);
          setTrack({ state: "ready", address: address.current });
        },
      });
    },
    [forget],
  );
  const cancel = useCallback(() => {
    forget();
    setTrack({ state: "none" });
  }, [forget]);
  return { track, make, cancel };
}
