import { createHash } from "node:crypto";

/** The one form in which a column holds an id; PostgreSQL also reads capitals, braces, no hyphens. */
const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
/** In JSON our schemas take capitals for the same id. */
const ID_IN_JSON = new RegExp(ID.source, "i");

export const isId = (text: string): boolean => ID.test(text);

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

/** Gives each id of another room the one that it has in this. */
export type OwnId = (id: string) => string;

/** This room's ids: those that are known, and for all others one made from room and id. */
export function ownIds(roomId: string, known: ReadonlyMap<string, string>): OwnId {
  // Asked for the same few again and again: a hash each time would be most of the work.
  const made = new Map(known);
  return (id) => {
    const there = made.get(id);
    if (there !== undefined) return there;
    const own = idWithin(roomId, id);
    made.set(id, own);
    return own;
  };
}

/** A value of JSON with this room's ids, wherever one is a whole string or the key of an object. */
export function withOwnIds(value: unknown, own: OwnId): unknown {
  const text = (each: string) => (ID_IN_JSON.test(each) ? own(each.toLowerCase()) : each);
  if (typeof value === "string") return text(value);
  if (Array.isArray(value)) return value.map((each) => withOwnIds(each, own));
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [text(key), withOwnIds(each, own)]),
  );
}

/** The same for a text in which ids stand among other words. */
export const wordsWithOwnIds = (text: string, own: OwnId): string =>
  text
    .split(" ")
    .map((word) => (ID.test(word) ? own(word) : word))
    .join(" ");
