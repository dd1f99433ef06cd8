import type { NoVerdict } from "~/core/session";
import { setNoVerdict } from "~/db/queries";
import type { Services } from "../../services";

/** Remembers what the player wants to happen when a verdict is missing. */
export const chooseNoVerdict = (
  { db }: Services,
  studioId: string,
  personId: string,
  choice: NoVerdict,
) => setNoVerdict(db, studioId, personId, choice);
