import { dayOf, type Day } from "~/core/units";
import type { Database } from "~/db/client";
import type { Studio } from "~/db/queries";
import type { ReadRoom } from "./archive/read-in-thread";
import type { Print } from "./print";
import type { ScoreWork } from "./score/work";
import type { TakeFiles } from "./takes/take-files";

/** What every use case is given: nothing is reached for, everything can be replaced in a test. */
export interface Services {
  readonly db: Database;
  /** Milliseconds since 1970. */
  readonly now: () => number;
  readonly newId: () => string;
  /** Reads files of music and engraves them. */
  readonly scores: ScoreWork;
  /** Reads the file of a room. */
  readonly readRoom: ReadRoom;
  /** Draws what goes on paper. */
  readonly print: Print;
  /** The sound of takes, beside the database. */
  readonly takes: TakeFiles;
}

export const todayIn = ({ now }: Pick<Services, "now">, studio: Pick<Studio, "time_zone">): Day =>
  dayOf(now(), studio.time_zone);
