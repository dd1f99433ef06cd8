import {
  materialOf,
  rungsToday,
  staircase,
  wayIn,
  wayOf,
  type Ladder,
  type Place,
  type Rung,
  type Where,
} from "~/core/ladder";
import { isReached, type Played } from "~/core/session";
import type { Bpm } from "~/core/units";
import { RungClimb, type Random } from "./rung-climb";
import { tollsOf, type CleanAt, type Toll } from "./toll";
import { Totals, type SimulatedCost } from "./totals";

interface Day {
  readonly rungs: readonly Rung[];
  readonly tolls: readonly Toll[];
  readonly climbers: readonly RungClimb[];
  /** Today's rungs lead to the ladder's end. */
  readonly ends: boolean;
}

interface DaysInputs {
  readonly block: Played & { readonly ladder: Ladder };
  readonly cleanAt: CleanAt;
  readonly comfortable: number | undefined;
  readonly from: Pick<Where, "start" | "place" | "ceiling">;
  readonly days: number;
  readonly random: Random;
}

/** What the days of one climb have left so far. */
interface Standing {
  ended: { tempo: Bpm; place: Place; way: string } | null;
  readonly fastest: Map<string, number>;
}

const BEGINNING: Place = { phase: 0, stage: 0 };

/**
 * Climbs a ladder over several days, many times: so many minutes a day, and each day begins by the
 * start rule from what the days before have left. Nothing is learned on the way.
 */
export class DayClimbs {
  private readonly known = new Map<string, Day>();
  private readonly ways = new Map<string, { start: Bpm; place: Place }>();
  private readonly totals = new Totals(0);
  private plays = 0;
  /** How many of the climbs were through on each day. */
  private readonly through: number[] = [];

  constructor(private readonly inputs: DaysInputs) {}

  get done(): number {
    return this.totals.runs;
  }

  get played(): number {
    return this.plays;
  }

  climb = (times: number): void => {
    for (let n = 0; n < times; n++) this.once();
  };

  private once(): void {
    const { days, block, from } = this.inputs;
    const standing: Standing = { ended: null, fastest: new Map() };
    let seconds = 0;
    for (let day = 0; day < days; day++) {
      const way = day === 0 ? { place: BEGINNING, ...from } : this.wayInto(standing, day);
      const climbed = this.practise(this.day(way, day > 0), standing, block.ladder.minutes * 60);
      seconds += climbed.seconds;
      if (climbed.through) {
        this.through[day] = (this.through[day] ?? 0) + 1;
        return this.totals.end(seconds, true);
      }
    }
    this.totals.end(seconds, false);
  }

  /** One day: up its rungs until they are through or the minutes are over. */
  private practise(day: Day, standing: Standing, most: number) {
    const { rungs, tolls, climbers } = day;
    const { ladder } = this.inputs.block;
    let seconds = 0;
    let at = 0;
    let front = 0;
    let last = rungs[0]!;
    while (at < tolls.length && seconds < most) {
      const [toll, climber] = [tolls[at]!, climbers[at]!];
      last = rungs[at]!;
      const outcome = climber.visit(most - seconds);
      seconds += climber.seconds;
      this.plays += climber.plays;
      if (outcome === "left" || outcome === "time") break;
      if (outcome === "lowered") {
        at = toll.below;
        last = rungs[at]!;
        continue;
      }
      this.pass(last, climber, standing);
      front = Math.max(front, at + 1);
      at = toll.listed && tolls[at + 1]?.listed ? front : at + 1;
      if (at < tolls.length && seconds < most) seconds += toll.rest;
      last = rungs[Math.min(at, rungs.length - 1)]!;
    }
    const { tempo, phase, stage } = last;
    standing.ended = { tempo, place: { phase, stage }, way: wayOf(ladder) };
    return { seconds, through: at >= tolls.length && day.ends };
  }

  private pass(rung: Rung, { plays, clean }: RungClimb, { fastest }: Standing): void {
    if (!isReached(rung, plays, clean)) return;
    const material = materialOf(rung, this.inputs.block);
    fastest.set(material, Math.max(fastest.get(material) ?? 0, rung.tempo));
  }

  /** Where a day begins; the same when the same was left. */
  private wayInto({ ended, fastest }: Standing, day: number) {
    const { block, comfortable, from } = this.inputs;
    const { tempo, place } = ended!;
    const key = `${day} ${tempo} ${place.phase} ${place.stage} ${[...fastest].join(" ")}`;
    const known = this.ways.get(key);
    if (known) return known;
    const way = wayIn(block.ladder, block, block, {
      ended,
      comfortable,
      // The worker is told one curve and no span: what is comfortable is about what is advised.
      advised: comfortable,
      fastest: (material) => fastest.get(material),
      daysGone: (from.place?.stage ?? 0) + day,
    });
    this.ways.set(key, way);
    return way;
  }

  /** A day's rungs from a start, drawn and reckoned once. */
  private day({ start, place }: { start: Bpm; place: Place }, again: boolean): Day {
    const key = `${start} ${place.phase} ${place.stage} ${again}`;
    const known = this.known.get(key);
    if (known) return known;
    const { block, cleanAt, comfortable, from, random } = this.inputs;
    const { ladder, bars, beatUnit } = block;
    const ceiling = from.ceiling === undefined ? {} : { ceiling: from.ceiling };
    const where = { start, place, bars, beatUnit, again, ...ceiling };
    const rungs = rungsToday(ladder, where, comfortable);
    const tolls = tollsOf({ block, rungs, cleanAt });
    const day: Day = {
      rungs,
      tolls,
      climbers: tolls.map((toll) => new RungClimb(toll, ladder.afterFlawed, random)),
      ends: rungs.length === staircase(ladder, where).length,
    };
    this.known.set(key, day);
    return day;
  }

  /** The chance of being through within so many days. */
  within(days: number): number {
    const through = this.through.slice(0, days).reduce((sum, each = 0) => sum + each, 0);
    return through / Math.max(1, this.totals.runs);
  }

  /** What the climbs so far came to; the chance is that of being through on one of the days. */
  told = (): SimulatedCost => ({
    ...this.totals.told(Infinity),
    plays: this.plays / Math.max(1, this.totals.runs),
  });
}
