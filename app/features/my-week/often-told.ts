import type { Often } from "~/core/week";
import { planWords } from "~/words/plan";

/** How often something is asked, in words. */
export const oftenTold = (often: Often): string =>
  often.kind === "times" ? planWords.often.times(often.times) : planWords.often[often.kind];
