import { unreachable } from "~/core/result";
import { whereItFailed, type AfterFlawed } from "~/core/ladder";
import { gateRun } from "~/core/gate";
import { MOST_PLAYS_ON_A_RUNG, playsAt, playsTable } from "./plays-table";
import type { Stage, Toll } from "./toll";

/** A stream of numbers in [0, 1). */
export type Random = () => number;

/** How a visit to a rung ends: its gate, what follows so many flawed plays, or the time is up. */
export type Outcome = "passed" | "lowered" | "left" | "time";

/** In context it has to go well once. */
const ONCE = [{ kind: "in-all", plays: 1 }] as const;

/**
 * One rung, climbed many times as the stand would have it: its gate, then in context; after so many
 * flawed plays lower, a rest, a cut around the flawed bars, or left. Offers are taken to be
 * declined; flaws fall evenly over the bars, and each is told with its bar.
 */
export class RungClimb {
  plays = 0;
  clean = 0;
  seconds = 0;
  private readonly table: Float64Array | undefined;
  private flaws: { bar: number; flawed: number }[] = [];
  private readonly runs = new Map<number, ReturnType<typeof gateRun>>();
  private readonly cuts = new Map<string, Stage>();

  constructor(
    private readonly toll: Toll,
    private readonly afterFlawed: AfterFlawed,
    private readonly random: Random,
  ) {
    const [rule] = toll.gate;
    const plain = afterFlawed.then === "ask" && toll.begin === 0 && toll.gate.length === 1;
    this.table = plain && rule ? playsTable(rule, toll.clean) : undefined;
  }

  /** One visit, at most until `left` seconds have gone by. */
  visit(left = Infinity): Outcome {
    this.plays = 0;
    this.clean = 0;
    this.seconds = 0;
    this.flaws = [];
    let stage: Stage = this.toll;
    for (;;) {
      const end = this.play(stage, left);
      if (end !== "passed" && typeof end !== "object") return end;
      const next = end === "passed" ? this.after(stage) : end;
      if (!next) return "passed";
      // Another stage is not begun when the time is up.
      if (this.seconds >= left) return "time";
      stage = next;
    }
  }

  /** What follows a stage that was passed: what was cut out goes back into the rung, anew. */
  private after(stage: Stage): Stage | null {
    const { context } = this.toll;
    if (stage === this.toll) return context;
    return stage === context ? null : this.toll;
  }

  /** Plays a stage until it ends; a smaller stage, where it is cut around the flawed bars. */
  private play(stage: Stage, left: number): Outcome | Stage {
    if (this.table && stage === this.toll) return this.byTable(this.table, left);
    const { then, plays: most, seconds: rest } = this.afterFlawed;
    const run = this.runFor(stage);
    let flawed = 0;
    this.seconds += stage.begin;
    while (this.plays < MOST_PLAYS_ON_A_RUNG) {
      this.plays++;
      this.seconds += stage.seconds;
      const clean = this.random() < stage.clean;
      if (clean) this.clean++;
      if (run.play(clean)) return "passed";
      const enough = !clean && ++flawed >= most;
      // The flaws told so far may say where; else the one that is told now.
      const smaller = then === "cut" && !clean ? this.cutAround(stage, enough) : undefined;
      if (this.seconds >= left) return "time";
      if (!enough) continue;
      flawed = 0;
      switch (then) {
        case "lower":
          return "lowered";
        case "leave":
          return "left";
        case "cut":
          if (smaller) return smaller;
          break;
        case "rest":
          this.seconds += rest;
          break;
        case "ask":
          break;
        default:
          return unreachable(then);
      }
      this.seconds += stage.begin;
    }
    return "left";
  }

  /** The plays of a common gate at once. */
  private byTable(table: Float64Array, left: number): Outcome {
    const plays = playsAt(table, this.random());
    const { seconds } = this.toll;
    const inTime = Math.min(plays, Math.ceil(left / seconds));
    this.plays += inTime;
    this.clean += inTime * this.toll.clean;
    this.seconds += inTime * seconds;
    return inTime < plays ? "time" : "passed";
  }

  private runFor(stage: Stage): ReturnType<typeof gateRun> {
    const key = stage === this.toll.context ? -1 : stage.playing;
    const known = this.runs.get(key);
    known?.reset();
    const run = known ?? gateRun(key === -1 ? ONCE : this.toll.gate, stage.playing);
    this.runs.set(key, run);
    return run;
  }

  private cutAround(stage: Stage, enough: boolean): Stage | undefined {
    const before = enough ? this.around(stage) : undefined;
    this.tell(stage);
    return before ?? (enough ? this.around(stage) : undefined);
  }

  private tell({ fromBar, toBar }: Stage): void {
    const bar = fromBar + Math.floor(this.random() * (toBar - fromBar + 1));
    const known = this.flaws.find((each) => each.bar === bar);
    if (known) known.flawed++;
    else this.flaws.push({ bar, flawed: 1 });
  }

  /** The bars of a stage where it failed, if they are fewer than those that are played. */
  private around(stage: Stage): Stage | undefined {
    const where = whereItFailed(this.flaws, stage);
    const { fromBar, toBar, cut } = this.toll;
    if (!where || where.fromBar < fromBar || where.toBar > toBar) return undefined;
    const key = `${where.fromBar}-${where.toBar}`;
    const known = this.cuts.get(key) ?? cut(where.fromBar, where.toBar);
    this.cuts.set(key, known);
    return known;
  }
}
