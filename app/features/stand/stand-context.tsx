import { createContext, use } from "react";
import type { PlayersInput } from "~/core/transport";
import type { StandDesk } from "./desk";
import type { Position } from "./use-stand";
import type { StandView } from "./view";

/** What every part of the stand draws, and by what it acts. */
export interface StandHands {
  readonly view: StandView;
  readonly send: (input: PlayersInput) => void;
  /** Until the browser has opened it there is none. */
  readonly desk: StandDesk | undefined;
  /** It is this window's, it is there, and it is not over. */
  readonly usable: boolean;
  /** The bar and beat that are heard now. */
  readonly position: Position | undefined;
}

const Hands = createContext<StandHands | undefined>(undefined);

/** Hands the stand to whatever is drawn in it. */
export const StandHandsProvider = Hands;

/** The stand, for one of its parts. */
export function useStand(): StandHands {
  const hands = use(Hands);
  if (!hands) throw new Error("This is a part of the stand.");
  return hands;
}
