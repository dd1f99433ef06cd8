import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";

/** Within one transaction, on one day: what whoever writes into somebody's weeks and passages needs. */
export interface Giving {
  readonly tx: Queries;
  readonly studioId: string;
  readonly newId: () => string;
  readonly now: () => number;
  readonly today: Day;
}
