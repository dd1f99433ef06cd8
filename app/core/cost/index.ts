export { cleanFrom, cleanTable } from "./clean-table";
export { exactCost, type Cost, type RungCost } from "./exact";
export { Climbs, type SimulatedCost } from "./monte-carlo";
export { nearLimit, type NearLimit } from "./near-limit";
export {
  daysGiven,
  minutesGiven,
  OFFER_KINDS,
  offersFor,
  type Offer,
  type OfferKind,
} from "./offers";
export { partOfBlock } from "./part";
export { chanceOf, tollsOf, type CleanAt, type Toll } from "./toll";
