import type { Day } from "../units";
import type { AssignmentItem } from "./assignment";
import type { TakeAsked } from "./told";

/** A take that was handed in: on which day, by which it was due, and what was said of it. */
export interface HandedInTake {
  readonly on: Day;
  readonly due: Day;
  readonly answer: "heard" | "again" | null;
  readonly rating: string;
  readonly takeId: string | null;
}

/** By when the take of an item is to be handed in: on its own day, else at the lesson. */
export const dueDay = ({ due }: Pick<AssignmentItem, "due">, lesson: Day): Day => due ?? lesson;

/** It came after its day, or would today. */
export const isLate = (on: Day, due: Day): boolean => on > due;

/** What has become of a take that is due on a day, as it stands today. */
export function takeState(handed: HandedInTake | undefined, due: Day, today: Day): TakeAsked {
  if (!handed) {
    const state = isLate(today, due) ? "missing" : "open";
    return { due, state, late: false, rating: "", takeId: null };
  }
  const { on, answer, rating, takeId } = handed;
  const late = isLate(on, handed.due);
  return { due: handed.due, state: answer ?? "waiting", late, rating, takeId };
}
