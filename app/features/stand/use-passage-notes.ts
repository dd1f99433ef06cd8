import { useEngraving } from "~/features/notation/use-engraving";
import type { Size } from "~/features/notation/use-size";
import type { Block } from "~/core/session";
import type { PassageMusic } from "./music";
import { notesAddress, staffOf, type NoteSize } from "./notes-address";
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
  const size = small ? "tight" : room && largerFor(usualPages, room);
  const other = useEngraving(size && address(size));
  const otherPages = pages(other.shown?.systems);
  const better = small
    ? otherPages.length > 0 &&
      (otherPages.length < usualPages.length || !isInside(usualPages, room))
    : size !== undefined && otherPages.length === 1 && isInside(otherPages, room);
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

/** The largest size at which a single system still fits, where that is more than the usual one. */
function largerFor(pages: Pages, room: Size): NoteSize | undefined {
  const [system, ...others] = pages.flat();
  const last = system?.bars.at(-1);
  if (!system || !last || others.length > 0) return undefined;
  const share = last.left + last.width;
  const height = (system.height * room.width) / system.width;
  return (["large", "larger"] as const).find((size) => {
    const by = staffOf(size, room.width) / staffOf("roomy", room.width);
    return share * by <= 1 && height * by <= room.height;
  });
}
