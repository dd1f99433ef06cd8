import { count } from "./counts";

/** Students chosen for something, wherever several can be. */
export const chooseWords = {
  find: "Search by name",
  instrument: "Instrument",
  anyInstrument: "all instruments",
  group: "Group",
  anyGroup: "all groups",
  none: "No students match.",
  all: (shown: number, of: number) => (shown === of ? "Choose all" : `Choose these ${shown}`),
  nobody: "Choose none",
  chosen: (number: number) => `${count(number, "student")} chosen`,
};
