import { useEffect, useState } from "react";

/** A choice of yes or no that is remembered on this device. */
export function useKeptChoice(key: string, usual: boolean) {
  const [chosen, setChosen] = useState(usual);
  useEffect(() => {
    const kept = localStorage.getItem(key);
    if (kept === "yes" || kept === "no") setChosen(kept === "yes");
  }, [key]);
  const choose = (next: boolean) => {
    setChosen(next);
    localStorage.setItem(key, next ? "yes" : "no");
  };
  return [chosen, choose] as const;
}
