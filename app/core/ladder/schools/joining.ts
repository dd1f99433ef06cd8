import * as v from "valibot";
import { wholeBpm, type Bpm } from "~/core/units";
import { wholeBetween, wholeBpmStep } from "../number-schema";
import { climb, type School, type Step } from "../school";
import { cutIntoLinks, joined, type Segment } from "../segment";

const numbers = v.object({
  order: v.picklist(["join-first", "tempo-first"], "Choose what comes first."),
  /** bars that are taken alone; default 1, 1–16. */
  size: wholeBetween(1, 16, "bars"),
  /** bpm per rung; default 5, 1–50. */
  step: wholeBpmStep,
});

interface Piece {
  readonly from: number;
  readonly to: number;
}

/** Each unit alone, then each pair of neighbours, then all of them; nothing twice. */
function widening(count: number): Piece[][] {
  const runs = (length: number) =>
    Array.from({ length: count - length + 1 }, (_, i) => ({ from: i + 1, to: i + length }));
  return [...new Set([1, 2, count])].filter((length) => length <= count).map(runs);
}

/** Joining: bar by bar, then pairs, then the phrase; the tempo after it or before (craft, 5.11). */
export const joining: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    {
      kind: "choice",
      key: "order",
      options: ["join-first", "tempo-first"],
      initial: "join-first",
    },
    { kind: "number", key: "size", unit: "units", initial: 1, min: 1, max: 16 },
    { kind: "number", key: "step", unit: "bpm", initial: 5, min: 1, max: 50, stride: true },
  ],
  tempo: "rises",
  linked: true,
  *steps({ order, size, step }, path) {
    const links: Segment[] = cutIntoLinks(path.bars, "bar", size);
    const of = links.length;
    let stage = 0;
    const rung = ({ from, to }: Piece, tempo: Bpm): Step => ({
      tempo,
      stage,
      segment: joined(links[from - 1]!, links[to - 1]!),
      links: { from, to, of },
    });
    const whole = { from: 1, to: of };
    const tempi = [...climb(path, (at) => wholeBpm(at + step))];
    for (const pieces of widening(of)) {
      for (const piece of pieces) {
        const alone = order === "tempo-first" && piece.from === piece.to;
        const base = order === "join-first" ? path.start : path.target;
        // The phrase itself climbs when joining came first.
        const isPhrase = piece.from === whole.from && piece.to === whole.to;
        const climbs = alone || (order === "join-first" && isPhrase);
        for (const tempo of climbs ? tempi : [base]) yield rung(piece, tempo);
        stage++;
      }
    }
  },
};
