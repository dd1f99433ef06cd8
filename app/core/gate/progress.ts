import { unreachable } from "~/core/result";
import type { Gate, Rule, Verdict } from "./gate";

/** A judged play of the rung, as a gate looks at it. */
export interface JudgedPlay {
  readonly verdict: Verdict;
  /** What the play took, count-in and breather included. */
  readonly seconds: number;
  /** The playing in it, without count-in and breather, where it is known. */
  readonly playing?: number | undefined;
  /** Spread of the measured asynchronies in milliseconds, when something was measured. */
  readonly spread?: number | undefined;
}

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
 * The versions of these rules (`core/ladder` names them): under 1, minutes looked at the whole
 * rung, count-in and breather included.
 */
type GateRules = 1 | 2;

const isClean = ({ verdict }: JudgedPlay) => verdict === "clean";
const ALMOST = 1e-9;

function inARow(rule: Extract<Rule, { kind: "in-a-row" }>, plays: readonly JudgedPlay[]): number {
  return plays.reduce((count, play) => {
    if (isClean(play)) return count + 1;
    return rule.afterFlawed === "reset" ? 0 : Math.max(0, count - 1);
  }, 0);
}

const minutesOf = (plays: readonly JudgedPlay[]): number =>
  plays.reduce((sum, { seconds }) => sum + seconds, 0) / 60;

const playingMinutes = (plays: readonly JudgedPlay[]): number =>
  plays.reduce((sum, { seconds, playing = seconds }) => sum + playing, 0) / 60;

const cleanShare = (plays: readonly JudgedPlay[]): number =>
  plays.length === 0 ? 0 : plays.filter(isClean).length / plays.length;

/** The latest plays that fill so many minutes of playing; all of them where they don't. */
function lastMinutes(plays: readonly JudgedPlay[], minutes: number): readonly JudgedPlay[] {
  let from = plays.length;
  let seconds = 0;
  while (from > 0 && seconds < minutes * 60 - ALMOST) {
    from--;
    seconds += plays[from]!.playing ?? plays[from]!.seconds;
  }
  return plays.slice(from);
}

function ruleProgress(
  rule: Rule,
  plays: readonly JudgedPlay[],
  easy: boolean,
  rules: GateRules,
): RuleProgress {
  const of = (count: number, needed: number, alsoPassed = true): RuleProgress => ({
    rule,
    count: Math.min(count, needed),
    needed,
    passed: count >= needed - ALMOST && alsoPassed,
  });
  switch (rule.kind) {
    case "in-a-row":
      return of(inARow(rule, plays), rule.plays);
    case "in-all":
      return of(plays.filter(isClean).length, rule.plays);
    case "of-last":
      return of(plays.slice(-rule.window).filter(isClean).length, rule.plays);
    case "minutes": {
      const looked = rules === 1 ? plays : lastMinutes(plays, rule.minutes);
      const minutes = rules === 1 ? minutesOf(plays) : playingMinutes(looked);
      return of(minutes, rule.minutes, cleanShare(looked) * 100 >= rule.percent - ALMOST);
    }
    case "played":
      return of(plays.length, rule.plays);
    case "easy":
      return of(easy ? 1 : 0, 1);
    case "timing": {
      const spread = plays.findLast((play) => play.spread !== undefined)?.spread;
      return of(spread !== undefined && spread <= rule.within ? 1 : 0, 1);
    }
    default:
      return unreachable(rule);
  }
}

/**
 * How far the plays of one rung, oldest first, have come towards its gate. `easy`: the player has
 * said since the rung began that it feels easy.
 */
export function gateProgress(
  gate: Gate,
  plays: readonly JudgedPlay[],
  easy = false,
  rules: GateRules = 2,
): GateProgress {
  const parts = gate.map((rule) => ruleProgress(rule, plays, easy, rules));
  return { parts, passed: parts.every(({ passed }) => passed) };
}
