import { LADDER_DEFAULTS } from "~/core/ladder";

export interface LadderNumbers {
  readonly start?: number;
  readonly target?: number;
  readonly step?: number;
  readonly clean?: number;
  readonly offerAfter?: number;
  readonly rest?: number;
  readonly hidden?: boolean;
}

/** Even steps from the start that is set, as the workshop would send them; fast and short. */
export const briskLadder = ({
  start = 200,
  target = 220,
  step = 10,
  clean = 2,
  offerAfter = LADDER_DEFAULTS.afterFlawed.plays,
  rest = 0,
  hidden = false,
}: LadderNumbers) => ({
  ...LADDER_DEFAULTS,
  phases: [
    { school: { name: "even-steps", numbers: { step } }, start: null, target: null, tasks: null },
  ],
  start,
  target,
  startRule: { kind: "as-set" },
  gate: [{ kind: "in-a-row", plays: clean, afterFlawed: "reset" }],
  afterFlawed: { ...LADDER_DEFAULTS.afterFlawed, plays: offerAfter },
  rest,
  minutes: 10,
  hidden,
});
