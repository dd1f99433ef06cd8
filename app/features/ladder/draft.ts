import * as v from "valibot";
import type { Gate } from "~/core/gate";
import { sentences } from "~/core/result";
import {
  fieldsOf,
  ladderSchema,
  type Ladder,
  type SchoolName,
  type StartRule,
} from "~/core/ladder";

/** A ladder while it is drawn: any number may still be missing or wrong. */
export interface LadderDraft {
  readonly school: {
    readonly name: SchoolName;
    readonly numbers: Readonly<Record<string, number>>;
  };
  readonly start: number;
  readonly target: number;
  readonly startRule: StartRule;
  readonly gate: Gate;
  readonly offerAfter: number;
  readonly rest: number;
  readonly minutes: number;
  readonly hidden: boolean;
  readonly countInBars: number;
  readonly subdivision: number;
}

export const initialNumbers = (name: SchoolName): Record<string, number> =>
  Object.fromEntries(fieldsOf(name).map(({ key, initial }) => [key, initial]));

const EASY_SHARE = 0.6;

/** A first ladder for a passage: even steps, three in a row, from well below the mark. */
export function firstDraft(target: number, comfortable: number | null): LadderDraft {
  const start = Math.max(10, Math.round(comfortable ?? target * EASY_SHARE));
  return {
    school: { name: "even-steps", numbers: initialNumbers("even-steps") },
    start: Math.min(start, Math.round(target)),
    target: Math.round(target),
    startRule: { kind: "where-ended-less", steps: 1 },
    gate: { kind: "in-a-row", plays: 3, afterFlawed: "reset" },
    offerAfter: 4,
    rest: 0,
    minutes: 10,
    hidden: false,
    countInBars: 1,
    subdivision: 1,
  };
}

export type Checked =
  | { readonly ok: true; readonly ladder: Ladder }
  | { readonly ok: false; readonly errors: Readonly<Record<string, string>> };

/** The draft read by the same schema as on the server; a sentence per field otherwise. */
export function check(draft: LadderDraft): Checked {
  const read = v.safeParse(ladderSchema, draft);
  if (read.success) return { ok: true, ladder: read.output };
  return { ok: false, errors: sentences(read.issues) };
}
