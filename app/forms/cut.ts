import * as v from "valibot";
import { passageRangeOf } from "~/core/score";
import { shortText } from "./names";
import { typedForm } from "./typed";

/** A cut, checked against its piece. */
export const cutFormSchema = (piece: Parameters<typeof passageRangeOf>[0]) =>
  typedForm(v.intersect([passageRangeOf(piece), v.object({ name: shortText, focus: shortText })]), [
    "fromBar",
    "toBar",
    "pickupBeats",
    "endBeats",
  ]);
export type Cut = v.InferOutput<ReturnType<typeof cutFormSchema>>;
