import * as v from "valibot";
import { PASSAGE_NOTES, passageRangeOf } from "~/core/score";
import { shortText } from "./names";
import { typedForm } from "./typed";

/** A cut, checked against its piece. */
export const cutFormSchema = (piece: Parameters<typeof passageRangeOf>[0]) =>
  typedForm(
    v.intersect([
      passageRangeOf(piece),
      v.object({
        name: shortText,
        focus: shortText,
        withRepeats: v.optional(
          v.pipe(
            v.string(),
            v.transform((said) => said === "on"),
          ),
        ),
        onlyNotes: v.optional(v.picklist(PASSAGE_NOTES, "Choose which notes."), "all"),
      }),
    ]),
    ["fromBar", "toBar", "pickupBeats", "startBeats", "endBeats"],
  );
type WholeCut = v.InferOutput<ReturnType<typeof cutFormSchema>>;
/** A cut; of all notes from the first beat on, where nothing else is said. */
export type Cut = Omit<WholeCut, "startBeats" | "onlyNotes" | "withRepeats"> &
  Partial<Pick<WholeCut, "startBeats" | "onlyNotes" | "withRepeats">>;
