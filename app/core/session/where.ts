import type { Where } from "~/core/ladder";

/** What of a block says where its rungs begin; a ceiling of null is one that nobody knows. */
type WhereInBlock = Omit<Where, "ceiling"> & { readonly ceiling: number | null };

/** From where the rungs of a block are unrolled. */
export const whereOf = ({ start, bars, beatUnit, place, again, ceiling }: WhereInBlock): Where => ({
  start,
  bars,
  ...(beatUnit === undefined ? {} : { beatUnit }),
  ...(place === undefined ? {} : { place }),
  ...(again === undefined ? {} : { again }),
  ...(ceiling === null ? {} : { ceiling }),
});
