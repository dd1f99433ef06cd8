import { PLAIN_CLICK } from "~/core/click";

/** Values of everything that ladders of the first form did not have. */
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
  mark: null,
} as const;

/** A ladder of the first form (one school, clicks a beat, one offer) in today's; others as is. */
export function upgraded(stored: unknown): unknown {
  if (typeof stored !== "object" || stored === null || !("school" in stored)) return stored;
  const { school, subdivision, countInBars, offerAfter, ...rest } = stored as Readonly<
    Record<string, unknown>
  >;
  return {
    ...LADDER_DEFAULTS,
    ...rest,
    phases: [{ school, start: null, target: null, tasks: null }],
    afterFlawed: { ...LADDER_DEFAULTS.afterFlawed, plays: offerAfter },
    click: {
      ...PLAIN_CLICK,
      pattern: { kind: "beats", subdivision },
      countIn: { bars: countInBars, inner: false },
    },
  };
}
