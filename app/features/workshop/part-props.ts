import type { LadderDraft } from "./draft";

/** What each part of the form is given. */
export interface PartProps {
  readonly draft: LadderDraft;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (change: Partial<LadderDraft>) => void;
}
