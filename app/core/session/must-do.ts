import * as v from "valibot";
import { BLOCK_KINDS, SESSION_MINUTES } from "./shape";

const LONGEST_TEXT = 120;
const MOST = 12;

/** What a player does even on a short day: long notes, a page of reading, five slow breaths. */
export const mustDoSchema = v.pipe(
  v.array(
    v.object({
      id: v.pipe(v.string(), v.uuid()),
      kind: v.picklist(BLOCK_KINDS),
      text: v.pipe(
        v.string(),
        v.trim(),
        v.minLength(1, "Say what it is."),
        v.maxLength(LONGEST_TEXT, `Keep it under ${LONGEST_TEXT} characters.`),
      ),
      minutes: v.pipe(
        v.number("Minutes are a number."),
        v.integer("Whole minutes."),
        v.minValue(1, "At least 1 minute."),
        v.maxValue(SESSION_MINUTES.longest / 4, "At most an hour."),
      ),
    }),
  ),
  v.maxLength(MOST, `At most ${MOST} things for every day.`),
);
export type MustDo = v.InferOutput<typeof mustDoSchema>[number];
