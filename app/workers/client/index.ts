export { CostClient } from "./cost-client";
export type { CostAnswer, CostRequest, OfferTold } from "../protocol/cost";
export { renderInWorker } from "./track-client";
export { StretchClient } from "./stretch-client";
