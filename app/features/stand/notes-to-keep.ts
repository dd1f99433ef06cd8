import type { Block, SessionPlan } from "~/core/session";
import type { PassageMusic, StandMusic } from "./music";
import { NOTE_SIZES, notesAddress } from "./notes-address";

/** What lies left and right of the notes, in CSS px. */
const EDGES = 48;
const PHONE_EDGES = 24;
const PHONE_WIDTH = 600;

const within = (width: number) => width - (width < PHONE_WIDTH ? PHONE_EDGES : EDGES);

/** The notes of a block as this window may come to show them; turned round, in their usual size. */
const ofBlock = (notes: PassageMusic, block: Block): string[] => [
  ...[false, true].flatMap((inContext) =>
    NOTE_SIZES.map((size) =>
      notesAddress(notes, block, within(window.innerWidth), inContext, size),
    ),
  ),
  notesAddress(notes, block, within(window.innerHeight), false, "roomy"),
];

/** The notes of all passages of a session, to be kept by the stand. */
export const notesToKeep = ({ blocks }: SessionPlan, music: StandMusic): string[] => [
  ...new Set(
    blocks.flatMap((block) => {
      const notes = music[block.passageId];
      return notes ? [...ofBlock(notes, block), ...notes.images] : [];
    }),
  ),
];
