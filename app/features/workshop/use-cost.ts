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
  /** The question that the offers answer: those of an older one can't be taken. */
  readonly offersFor?: Question;
}

type Question = (() => Omit<CostRequest, "id">) | undefined;

const NOTHING: CostKnown = {};

/**
 * Asks the worker whenever the question (made only in the browser) changes; an answer to an older question never shows. The
 * figures of the question before stay until new ones come, so that nothing flickers.
 */
export function useCost(question: Question): CostKnown {
  const [known, setKnown] = useState<CostKnown>(NOTHING);
  const client = useRef<CostClient | undefined>(undefined);
  const asked = useRef<Question>(undefined);
  useEffect(() => {
    const made = new CostClient((answer) => {
      setKnown((before) => {
        switch (answer.kind) {
          case "exact":
            return { ...before, exact: answer };
          case "simulated":
            return { ...before, simulated: answer };
          case "offers":
            return { ...before, offers: answer.offers, offersFor: asked.current };
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
    asked.current = question;
    if (question) client.current?.ask(question());
  }, [question]);
  return known;
}
