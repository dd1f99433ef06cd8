import * as v from "valibot";

export const WAITING_ORDERS = ["oldest", "newest"] as const;

/** Which of the recordings that wait to be heard come first. */
export const waitingQuerySchema = v.object({
  order: v.optional(v.fallback(v.picklist(WAITING_ORDERS), "oldest"), "oldest"),
});
export type WaitingOrder = v.InferOutput<typeof waitingQuerySchema>["order"];
