import { ofPassage } from "../rule";

/** A passage this much behind the middle of its neighbours lags. */
const LAGS = 0.85;

const shareOf = ({ comfortable, target }: { comfortable: { value: number }; target: number }) =>
  Math.min(1, comfortable.value / target);

/** One bit of a piece lags behind the others: it is brought level first. */
export const weakestBit = ofPassage((passage, { passages }) => {
  const others = passages.filter(
    ({ pieceId, id }) => pieceId === passage.pieceId && id !== passage.id,
  );
  if (others.length === 0 || passage.safe) return undefined;
  const shares = others.map(shareOf).toSorted((one, other) => one - other);
  const middle = shares[Math.floor((shares.length - 1) / 2)]!;
  const own = shareOf(passage);
  if (own >= LAGS * middle || own > Math.min(...shares)) return undefined;
  return { saw: { share: own, others: middle }, places: ["lesson"] };
});
