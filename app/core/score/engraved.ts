import * as v from "valibot";

const share = v.number();

/** Where a bar stands in its system, in shares of the system's width and height. */
const boxSchema = v.object({
  bar: v.number(),
  left: share,
  width: share,
  top: share,
  height: share,
  /** Where something begins: how far into the bar, in whole notes, and at which share of the width. */
  onsets: v.array(v.tuple([v.number(), share])),
});
export type BarBox = v.InferOutput<typeof boxSchema>;

/** Music as it is drawn, system by system. Sizes are in units of which a staff is 720 high. */
export const engravedSchema = v.object({
  /** The shapes of the signs, shared by all systems. */
  signs: v.string(),
  systems: v.array(
    v.object({
      width: v.number(),
      height: v.number(),
      drawing: v.string(),
      bars: v.array(boxSchema),
    }),
  ),
});
export type Engraved = v.InferOutput<typeof engravedSchema>;
export type EngravedSystem = Engraved["systems"][number];
