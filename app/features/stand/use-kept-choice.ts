import { useEffect, useState } from "react";
import { kept as onDevice } from "~/components/kept";

/** A choice of yes or no that is remembered on this device. */
export function useKeptChoice(key: string, usual: boolean) {
  const [chosen, setChosen] = useState(usual);
  useEffect(() => {
    const kept = onDevice.get(key);
    if (kept === "yes" || kept === "no") setChosen(kept === "yes");
  }, [key]);
  const choose = (next: boolean) => {
    setChosen(next);
    onDevice.set(key, next ? "yes" : "no");
  };
  return [chosen, choose] as const;
}
