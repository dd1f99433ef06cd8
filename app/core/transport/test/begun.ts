import { currentBlock, type SessionPlan } from "~/core/session";
import { planOf } from "~/core/session/test/plans";
import { World } from "./world";

/** A stand that was just begun. */
export const stand = (plan: SessionPlan = planOf([{}])) => new World(plan).does({ kind: "start" });
export const blockOf = ({ state }: World) => currentBlock(state.stand).state;
export const playing = ({ transport }: World["state"]) => transport === "play";
export const plays =
  (count: number) =>
  ({ stand: { plays } }: World["state"]) =>
    plays.length >= count;
