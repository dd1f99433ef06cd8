import type { Told } from "../archive/told";

const nothing = () => ({ columns: [], rows: [] });

/** Words that nobody reads: for tests of what is carried, not of how it is told. */
export const UNTOLD: Told = {
  dictionary: nothing(),
  readme: (room) => room,
  log: nothing,
  sessions: nothing,
  plays: nothing,
  handedIn: nothing,
  progress: nothing,
  bars: (from, to) => `${from} ${to}`,
  flawed: String,
  state: String,
};
