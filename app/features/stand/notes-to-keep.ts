import type { SessionPlan } from "~/core/session";
import type { StandMusic } from "./music";
import { NOTE_SIZES, notesAddress } from "./notes-address";

/** What lies left and right of the notes, in CSS px. */
const EDGES = 48;
const PHONE_EDGES = 24;
const PHONE_WIDTH = 600;

/** The notes of all passages of a session for this window, and for it turned round. */
export function notesToKeep({ blocks }: SessionPlan, music: StandMusic): string[] {
  const widths = [window.innerWidth, window.innerHeight].map(
    (width) => width - (width < PHONE_WIDTH ? PHONE_EDGES : EDGES),
  );
  return [
    ...new Set(
      blocks.flatMap((block) => {
        const notes = music[block.passageId];
        if (!notes) return [];
        return widths.flatMap((width) =>
          [false, true].flatMap((inContext) =>
            NOTE_SIZES.map((size) => notesAddress(notes, block, width, inContext, size)),
          ),
        );
      }),
    ),
  ];
}
