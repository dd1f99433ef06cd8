import * as v from "valibot";
import { BEAT_UNIT_NAMES } from "./beat-unit";

const length = v.pipe(v.number(), v.minValue(0), v.maxValue(64));
const share = v.pipe(v.number(), v.minValue(0.01), v.maxValue(100));
const stretch = v.object({ from: length, to: length });

/** How a bar goes where it does not simply go at the tempo of its passage. */
export const barTempoSchema = v.object({
  /** The beat unit in which it is clicked and its tempo told. */
  unit: v.picklist(BEAT_UNIT_NAMES),
  pieces: v.pipe(
    v.array(v.object({ ...stretch.entries, atFrom: share, atTo: share })),
    v.minLength(1),
  ),
  holds: v.array(v.object({ at: length, longer: length })),
  /** Where no click sounds, because the player leads. */
  silent: v.array(stretch),
  /** Where the click comes back, counting. */
  counted: v.array(stretch),
});
export type BarTempo = v.InferOutput<typeof barTempoSchema>;
