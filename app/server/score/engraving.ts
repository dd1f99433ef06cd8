import { createHash } from "node:crypto";

/** What is asked of the engraver. Widths are in units of which a staff is 72 high. */
export interface EngravingAsked {
  readonly source: string;
  /** Which parts, by their ids; all where it is empty. */
  readonly parts: readonly string[];
  readonly width: number;
  /** A range of bars by position; the whole piece without it. */
  readonly range?: { readonly from: number; readonly to: number } | undefined;
}

/** The same music asked for in the same way has the same name. */
export const nameOf = ({ source, parts, width, range }: EngravingAsked): string =>
  createHash("sha256")
    .update(source)
    .update(JSON.stringify([parts, width, range ?? null]))
    .digest("base64url");
