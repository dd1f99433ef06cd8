import { useEffect, useRef, useState } from "react";
import type { CostAnswer, CostRequest, OfferTold } from "~/workers/client";
import { CostClient } from "~/workers/client";

export type ExactTold = Extract<CostAnswer, { kind: "exact" }>;
export type SimulatedTold = Extract<CostAnswer, { kind: "simulated" }>;

/** What is known so far of what a ladder costs. */
export interface CostKnown {
  readonly exact?: ExactTold;
  readonly simulated?: SimulatedTold;
  readonly offers?: readonly OfferTold[];
}

const NOTHING: CostKnown = {};

/**
 * Asks the worker whenever the question (made only in the browser) changes; an answer to an older question never shows. The
 * figures of the question before stay until new ones come, so that nothing flickers.
 */
export function useCost(question: (() => Omit<CostRequest, "id">) | undefined): CostKnown {
  const [known, setKnown] = useState<CostKnown>(NOTHING);
  const client = useRef<CostClient | undefined>(undefined);
  useEffect(() => {
    const made = new CostClient((answer) => {
      setKnown((before) => {
        switch (answer.kind) {
          case "exact":
            return { ...before, exact: answer };
          case "simulated":
            return { ...before, simulated: answer };
          case "offers":
            return { ...before, offers: answer.offers };
        }
      });
    });
    client.current = made;
    return () => {
      client.current = undefined;
      made.dispose();
    };
  }, []);
  useEffect(() => {
    if (question) client.current?.ask(question());
  }, [question]);
  return known;
}
