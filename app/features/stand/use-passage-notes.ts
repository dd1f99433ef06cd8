import { useEngraving } from "~/features/notation/use-engraving";
import type { Size } from "~/features/notation/use-size";
import type { Block } from "~/core/session";
import type { PassageMusic } from "./music";
import { notesAddress } from "./notes-address";
import { pagesOf } from "./pages";

/**
 * The notes of a block for the room there is, in pages: large where that needs one page, smaller
 * where that saves turning.
 */
export function usePassageNotes(
  music: PassageMusic,
  block: Block,
  room: Size | undefined,
  inContext: boolean,
) {
  const address = (size: "roomy" | "tight") =>
    room && notesAddress(music, block, room.width, inContext, size);
  const pages = (systems: Parameters<typeof pagesOf>[0] = []) =>
    room ? pagesOf(systems, room) : [];
  const roomy = useEngraving(address("roomy"));
  const large = pages(roomy.shown?.systems);
  const tight = useEngraving(large.length > 1 ? address("tight") : undefined);
  const small = pages(tight.shown?.systems);
  const saves = large.length > 1 && small.length > 0 && small.length < large.length;
  return {
    away: roomy.state === "away",
    signs: (saves ? tight : roomy).shown?.signs,
    pages: saves ? small : large,
  };
}
