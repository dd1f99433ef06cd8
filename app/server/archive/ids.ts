import { createHash } from "node:crypto";

const ID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;

/**
 * An id of another room as this room's own: the same for the same id, different in every room, so
 * that a room read twice never meets itself. (A UUID of version 8, of the first bits of a hash.)
 */
export function idWithin(roomId: string, id: string): string {
  const hex = createHash("sha256").update(`${roomId} ${id}`).digest("hex");
  const variant = ((parseInt(hex[16]!, 16) & 3) | 8).toString(16);
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `8${hex.slice(13, 16)}`,
    variant + hex.slice(17, 20),
    hex.slice(20, 32),
  ].join("-");
}

/** Puts this room's ids in the place of another's, wherever they stand in a text. */
export const withOwnIds =
  (roomId: string, known: ReadonlyMap<string, string>) =>
  (text: string): string =>
    text.replace(ID, (id) => known.get(id) ?? idWithin(roomId, id));
