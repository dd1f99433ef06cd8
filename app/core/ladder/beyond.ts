import * as v from "valibot";
import { wholeBpm, type Bpm } from "~/core/units";
import { wholeBetween } from "./number-schema";

/** How far beyond the target. */
export const overspeedSchema = v.object({
  in: v.picklist(["percent", "bpm"], "Choose percent or bpm."),
  /** default 5, 1–50. */
  beyond: wholeBetween(1, 50, "bpm or percent"),
});
export type Overspeed = v.InferOutput<typeof overspeedSchema>;

/** The tempo beyond a target, in whole bpm; it may lie outside the playable tempi. */
export const tempoBeyond = (over: Overspeed, target: Bpm): Bpm =>
  wholeBpm(over.in === "bpm" ? target + over.beyond : (target * (100 + over.beyond)) / 100);
