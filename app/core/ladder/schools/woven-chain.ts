import * as v from "valibot";
import { wholeBpm, type Bpm } from "~/core/units";
import { wholeBetween, wholeBpmStep } from "../number-schema";
import { climb, type School, type Step } from "../school";
import { cutIntoLinks, joined, LINK_UNITS, type Segment } from "../segment";

const numbers = v.object({
  unit: v.picklist(LINK_UNITS, "Choose bars or beats."),
  /** bars or beats in a link; default 1, 1–16. */
  size: wholeBetween(1, 16, "units"),
  /** bpm per rung; default 5, 1–50. */
  step: wholeBpmStep,
  /** the most links in one chain; longer passages make chains of chains; default 8, 2–64. */
  window: v.pipe(
    v.number("Give a number."),
    v.integer("Give a whole number of links."),
    v.minValue(2, "A chain has at least 2 links: with fewer there is nothing to weave."),
    v.maxValue(64, "At most 64 links."),
  ),
});

/** A link with its place among all the links. */
interface Placed {
  readonly segment: Segment;
  readonly from: number;
  readonly to: number;
}

/**
 * How many links from the end are played with tempo number `i` of `last`, when `k` links are
 * there: all at the first and the last tempo, the newest alone at odd ones, and at even ones the
 * last 2, 3, … k in turn.
 */
function tailAt(i: number, last: number, k: number): number {
  if (k === 1 || i === 0 || i === last) return k;
  return i % 2 === 1 ? 1 : 2 + ((i / 2 - 1) % (k - 1));
}

/** Stages count on through the chains. */
class Weaver {
  private stage = 0;

  constructor(
    private readonly tempi: readonly Bpm[],
    private readonly window: number,
    private readonly of: number,
  ) {}

  private span(links: readonly Placed[]): Placed {
    const [first, last] = [links[0]!, links.at(-1)!];
    return {
      segment: joined(first.segment, last.segment),
      from: first.from,
      to: last.to,
    };
  }

  private *chain(links: readonly Placed[]): Generator<Step> {
    for (let k = 1; k <= links.length; k++) {
      for (const [i, tempo] of this.tempi.entries()) {
        const tail = tailAt(i, this.tempi.length - 1, k);
        const { segment, from, to } = this.span(links.slice(k - tail, k));
        yield { tempo, stage: this.stage, segment, links: { from, to, of: this.of } };
      }
      this.stage++;
    }
  }

  /** Chains of at most so many links, then the chains as links. */
  *weave(links: readonly Placed[]): Generator<Step> {
    if (links.length <= this.window) return yield* this.chain(links);
    const chains: Placed[] = [];
    for (let at = 0; at < links.length; at += this.window) {
      const chain = links.slice(at, at + this.window);
      yield* this.chain(chain);
      chains.push(this.span(chain));
    }
    yield* this.weave(chains);
  }
}

/** Woven chain: each new link climbs alone and joined to ever more before it (craft, 5.10). */
export const wovenChain: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "choice", key: "unit", options: LINK_UNITS, initial: "bar" },
    { kind: "number", key: "size", unit: "units", initial: 1, min: 1, max: 16 },
    { kind: "number", key: "step", unit: "bpm", initial: 5, min: 1, max: 50, stride: true },
    { kind: "number", key: "window", unit: "links", initial: 8, min: 2, max: 64 },
  ],
  tempo: "rises",
  linked: true,
  *steps({ unit, size, step, window }, path) {
    const links = cutIntoLinks(path.bars, unit, size).map((segment, i): Placed => ({
      segment,
      from: i + 1,
      to: i + 1,
    }));
    const tempi = [...climb(path, (from) => wholeBpm(from + step))];
    yield* new Weaver(tempi, window, links.length).weave(links);
  },
};
