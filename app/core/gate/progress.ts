import type { Gate } from "./gate";
import { ruleOf, type Rule } from "./registry";
import type { JudgedPlay } from "./rule";

/** How far one rule has come; `count` and `needed` in plays, or in minutes for "minutes". */
export interface RuleProgress {
  readonly rule: Rule;
  readonly count: number;
  readonly needed: number;
  readonly passed: boolean;
}

export interface GateProgress {
  /** One per rule, in their order. */
  readonly parts: readonly RuleProgress[];
  readonly passed: boolean;
}

/**
 * How far the plays of one rung, oldest first, have come towards its gate. `easy`: the player has
 * said since the rung began that it feels easy.
 */
export function gateProgress(gate: Gate, plays: readonly JudgedPlay[], easy = false): GateProgress {
  const parts = gate.map((rule): RuleProgress => {
    const { counter: make, needed } = ruleOf(rule);
    const counter = make(rule);
    for (const play of plays) counter.play(play);
    if (easy) counter.easy?.();
    const most = needed(rule);
    return { rule, count: Math.min(counter.count, most), needed: most, passed: counter.holds };
  });
  return { parts, passed: parts.every(({ passed }) => passed) };
}

/**
 * A gate that is fed verdicts of plays of so many seconds; true when all of its rules hold at once.
 * What only the player or the ear knows is taken to come with the first clean play.
 */
export function gateRun(gate: Gate, seconds: number) {
  const clean: JudgedPlay = { verdict: "clean", seconds, spread: 0 };
  const flawed: JudgedPlay = { verdict: "flawed", seconds };
  const counters = gate.map((rule) => ruleOf(rule).counter(rule));
  const felt = counters.filter(({ easy }) => easy !== undefined);
  return {
    play(isClean: boolean): boolean {
      if (isClean) for (const counter of felt) counter.easy!();
      const play = isClean ? clean : flawed;
      let open = true;
      for (const counter of counters) if (!counter.play(play)) open = false;
      return open;
    },
    reset(): void {
      for (const counter of counters) counter.reset();
    },
  };
}
