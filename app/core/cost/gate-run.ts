import type { Gate, Rule } from "~/core/gate";
import { unreachable } from "~/core/result";

const ALMOST = 1e-9;

/** One rule's count while plays come in; no history is kept but what the rule looks at. */
interface Counter {
  readonly play: (clean: boolean) => boolean;
  readonly reset: () => void;
}

function counterFor(rule: Rule, seconds: number): Counter {
  let count = 0;
  let all = 0;
  let bits = 0;
  const counter = (step: (clean: boolean) => boolean): Counter => ({
    play: step,
    reset: () => {
      count = 0;
      all = 0;
      bits = 0;
    },
  });
  switch (rule.kind) {
    case "in-a-row": {
      const flawed = rule.afterFlawed === "reset" ? () => 0 : () => Math.max(0, count - 1);
      return counter((clean) => (count = clean ? count + 1 : flawed()) >= rule.plays);
    }
    case "in-all":
      return counter((clean) => (count += clean ? 1 : 0) >= rule.plays);
    case "of-last": {
      const mask = (1 << rule.window) - 1;
      return counter((clean) => {
        bits = ((bits << 1) | (clean ? 1 : 0)) & mask;
        let ones = 0;
        for (let rest = bits; rest; rest &= rest - 1) ones++;
        return ones >= rule.plays;
      });
    }
    case "minutes": {
      // Only the latest plays that fill the minutes are looked at.
      const plays = Math.max(1, Math.ceil((rule.minutes * 60) / seconds - ALMOST));
      const latest = new Uint8Array(plays);
      return counter((clean) => {
        const at = all++ % plays;
        // What is left of before a reset is overwritten before it is ever counted.
        count += (clean ? 1 : 0) - (all > plays ? latest[at]! : 0);
        latest[at] = clean ? 1 : 0;
        return all >= plays && count * 100 >= rule.percent * plays - ALMOST;
      });
    }
    case "played":
      return counter(() => ++all >= rule.plays);
    // What only the player or the ear knows is taken to come with the first clean play.
    case "easy":
    case "timing":
      return counter((clean) => (count += clean ? 1 : 0) >= 1);
    default:
      return unreachable(rule);
  }
}

/** A gate as a machine that is fed verdicts; true when all of its rules hold at once. */
export function gateRun(gate: Gate, seconds: number) {
  const counters = gate.map((rule) => counterFor(rule, seconds));
  return {
    play(clean: boolean): boolean {
      let open = true;
      for (const counter of counters) if (!counter.play(clean)) open = false;
      return open;
    },
    reset(): void {
      for (const counter of counters) counter.reset();
    },
  };
}
