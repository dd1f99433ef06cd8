import { PLAIN_CLICK } from "~/core/click";

/** A ladder's values where nothing else is set. */
export const LADDER_DEFAULTS = {
  afterFlawed: { plays: 4, then: "ask", steps: 1, seconds: 60 },
  inContext: { bars: 0, at: "top" },
  days: 1,
  overspeed: null,
  warmUp: 0,
  mostAbove: 0,
  click: PLAIN_CLICK,
  part: null,
  setOn: null,
  of: null,
  steady: false,
  breathe: "",
  mark: null,
} as const;
