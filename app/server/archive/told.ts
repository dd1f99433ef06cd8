import type { PassageState } from "~/core/score";
import type {
  handedInOfStudent,
  LogLine,
  playsOfStudent,
  progressOfStudent,
  sessionsOfStudent,
} from "~/db/queries";
import type { Table } from "../csv";

type Rows<Q extends (...given: never[]) => Promise<unknown>> = Awaited<ReturnType<Q>>;
type Part<Q extends (...given: never[]) => AsyncIterable<unknown>> =
  ReturnType<Q> extends AsyncIterable<infer T> ? T : never;

/** How what is taken along is told: its tables and the words in its files. */
export interface Told {
  /** What a table's columns hold: file, column, meaning. */
  readonly dictionary: Table;
  readonly readme: (room: string, day: string) => string;
  readonly log: (lines: readonly LogLine[]) => Table;
  readonly sessions: (rows: Rows<typeof sessionsOfStudent>) => Table;
  readonly plays: (rows: Part<typeof playsOfStudent>) => Table;
  readonly handedIn: (rows: Rows<typeof handedInOfStudent>) => Table;
  readonly progress: (rows: Rows<typeof progressOfStudent>) => Table;
  /** Written over bars. */
  readonly bars: (from: number, to: number) => string;
  readonly flawed: (times: number) => string;
  readonly state: (state: PassageState) => string;
}
