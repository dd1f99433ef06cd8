import { SCHOOL_NAMES, type SchoolName } from "~/core/ladder";
import { words } from "~/words";

/** The schools whose name has a text in it. */
export const schoolsCalled = (text: string): SchoolName[] =>
  SCHOOL_NAMES.filter((name) =>
    words.ladder.schools[name].label.toLocaleLowerCase().includes(text.toLocaleLowerCase()),
  );
