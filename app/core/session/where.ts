import type { Where } from "~/core/ladder";
import type { Block } from "./plan";

/** From where the rungs of a block are unrolled. */
export const whereOf = ({
  start,
  bars,
  place,
  again,
  ceiling,
}: Pick<Block, "start" | "bars" | "place" | "again" | "ceiling">): Where => ({
  start,
  bars,
  place,
  again,
  ...(ceiling === null ? {} : { ceiling }),
});
