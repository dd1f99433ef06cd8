import { newItem, type AssignmentItem } from "~/core/week";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";

const USUAL_MINUTES = 10;

export const passageTitle = ({ title, name, fromBar, toBar }: PassageLine): string =>
  `${title}, ${name || words.bars(fromBar, toBar)}`;

/** An item of a week for a passage, as it begins. */
export const itemFor = (passage: PassageLine): AssignmentItem =>
  newItem(crypto.randomUUID(), {
    passageId: passage.id,
    title: passageTitle(passage).slice(0, 120),
    focus: passage.focus,
    minutes: passage.minutes ?? USUAL_MINUTES,
    goalTempo: passage.inAWeek,
  });
