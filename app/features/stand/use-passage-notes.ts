import { useEngraving } from "~/features/notation/use-engraving";
import type { Size } from "~/features/notation/use-size";
import type { Block } from "~/core/session";
import type { PassageMusic } from "./music";
import { notesAddress, type NoteSize } from "./notes-address";
import { pagesOf } from "./pages";

/**
 * The notes of a block for the room there is, in pages: larger where a few bars leave room, smaller
 * where that saves turning or the usual size is too high.
 */
export function usePassageNotes(
  music: PassageMusic,
  block: Block,
  room: Size | undefined,
  inContext: boolean,
) {
  const address = (size: NoteSize) =>
    room && notesAddress(music, block, room.width, inContext, size);
  const pages = (systems: Parameters<typeof pagesOf>[0] = []) =>
    room ? pagesOf(systems, room) : [];
  const usual = useEngraving(address("roomy"));
  const usualPages = pages(usual.shown?.systems);
  const small = usualPages.length > 1 || !isInside(usualPages, room);
  const other = useEngraving(
    small ? address("tight") : isShort(usualPages) ? address("large") : undefined,
  );
  const otherPages = pages(other.shown?.systems);
  const better = small
    ? otherPages.length > 0 &&
      (otherPages.length < usualPages.length || !isInside(usualPages, room))
    : otherPages.length === 1 && otherPages[0]!.length === 1 && isInside(otherPages, room);
  return {
    away: usual.state === "away",
    signs: (better ? other : usual).shown?.signs,
    pages: better ? otherPages : usualPages,
  };
}

type Pages = ReturnType<typeof pagesOf>;

/** Whether no system is higher than the room. */
const isInside = (pages: Pages, room: Size | undefined): boolean =>
  room === undefined ||
  pages.flat().every(({ width, height }) => (height * room.width) / width <= room.height);

/** Of one system that leaves so much of its width free. */
const SHORT = 0.65;
const isShort = (pages: Pages): boolean => {
  const [page, ...others] = pages;
  const last = page?.length === 1 && others.length === 0 ? page[0]!.bars.at(-1) : undefined;
  return last !== undefined && last.left + last.width < SHORT;
};
