import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { resolveRegions } from "./region-links";
import { tempiSchema, type RegionLink, type TempoRegion } from "./regions";

const region = (id: string, fromBar: number, change: Partial<TempoRegion> = {}): TempoRegion => ({
  id,
  fromBar,
  unit: "quarter",
  target: null,
  words: "",
  subdivision: 1,
  link: null,
  ...change,
});
const at = (low: number, high = low) => ({ low, high });
const tempiOf = (regions: readonly TempoRegion[]) =>
  resolveRegions(regions).regions.map(({ bpm }) => bpm);

describe("tempi that hang together", () => {
  test("the same, a note that becomes another, and a ratio follow what is moved", () => {
    const piece = (opening: number) => [
      region("a", 1, { target: at(opening) }),
      region("b", 9, { unit: "dotted-quarter", link: { kind: "same", of: "a" } }),
      region("c", 17, {
        unit: "quarter",
        link: { kind: "note", of: "b", unit: "quarter", was: "dotted-quarter" },
      }),
      region("d", 25, { link: { kind: "ratio", of: "a", low: 0.5, high: 0.5 } }),
    ];
    expect(tempiOf(piece(90))).toEqual([90, 60, 60, 45]);
    expect(tempiOf(piece(72))).toEqual([72, 48, 48, 36]);
  });

  test("a return asks for its opening, and says which tempi resolve it", () => {
    const link: RegionLink = { kind: "ratio", of: "a", low: 1.03, high: 1.08 };
    const back = region("b", 33, { unit: "dotted-quarter", target: at(60), link });
    const { contradictions } = resolveRegions([region("a", 1, { target: at(72) }), back]);
    expect(contradictions).toHaveLength(1);
    const { asks, has, nearest } = contradictions[0]!;
    expect([Math.ceil(asks.low), Math.floor(asks.high)]).toEqual([56, 58]);
    expect(has).toEqual(at(72));
    expect(nearest).toEqual({ other: 58, region: 75 });
    // Any tempo of the range that it asks for will do.
    const fits = resolveRegions([region("a", 1, { target: at(50, 60) }), back]);
    expect(fits.contradictions).toEqual([]);
    expect(fits.regions[0]!.bpm).toBe(57);
    expect(fits.regions[1]!.bpm).toBe(60);
  });

  test("at most and at least leave what the other allows", () => {
    const slow = region("b", 9, { target: at(40, 120), link: { kind: "at-most", of: "a" } });
    expect(tempiOf([region("a", 1, { target: at(60) }), slow])).toEqual([60, 50]);
    const fast = region("b", 9, { target: at(70, 80), link: { kind: "at-least", of: "a" } });
    expect(resolveRegions([region("a", 1, { target: at(90) }), fast]).contradictions).toHaveLength(
      1,
    );
  });

  test("that go round in a circle while they are typed end all the same", () => {
    const circle = [
      region("a", 1, { target: at(60), link: { kind: "same", of: "b" } }),
      region("b", 9, { link: { kind: "same", of: "a" } }),
    ];
    expect(resolveRegions(circle).regions).toHaveLength(2);
  });

  test("without a contradiction every tempo is its own and its link's, and playable", () => {
    const links = fc.record({
      of: fc.nat(),
      low: fc.double({ min: 0.5, max: 1.5, noNaN: true }),
      wide: fc.double({ min: 1, max: 1.3, noNaN: true }),
      low0: fc.integer({ min: 20, max: 200 }),
      span: fc.integer({ min: 0, max: 60 }),
    });
    fc.assert(
      fc.property(fc.array(links, { minLength: 1, maxLength: 12 }), (list) => {
        const regions = list.map(({ of, low, wide, low0, span }, index) =>
          region(String(index), index + 1, {
            target: at(low0, low0 + span),
            link:
              index === 0 ? null : { kind: "ratio", of: String(of % index), low, high: low * wide },
          }),
        );
        const { regions: resolved, contradictions } = resolveRegions(regions);
        const broken = new Set(contradictions.map(({ region: { id } }) => id));
        const byId = new Map(resolved.map((each) => [each.id, each]));
        for (const { id, target, bpm, link } of resolved) {
          expect(bpm).toBeGreaterThanOrEqual(target!.low - 1e-6);
          expect(bpm).toBeLessThanOrEqual(target!.high + 1e-6);
          if (link?.kind !== "ratio" || broken.has(id)) continue;
          const ratio = bpm / byId.get(link.of)!.bpm;
          expect(ratio).toBeGreaterThanOrEqual(link.low - 1e-6);
          expect(ratio).toBeLessThanOrEqual(link.high + 1e-6);
        }
      }),
    );
  });
});

describe("tempi that are refused", () => {
  const refusal = (regions: unknown[], changes: unknown[] = []) =>
    v.safeParse(tempiSchema, { regions, changes }).issues?.[0].message;
  const a = region("a", 1, { target: at(60) });
  test.each([
    ["upside down", [region("a", 1, { target: at(80, 60) })], /low to high/],
    ["not from bar 1", [region("a", 2, { target: at(60) })], /bar 1/],
    ["two at a bar", [a, region("b", 1, { target: at(60) })], /begin at bar 1/],
    [
      "out of order",
      [a, region("b", 9, { target: at(60) }), region("c", 5, { target: at(60) })],
      /behind/,
    ],
    ["no tempo", [a, region("b", 5, { link: { kind: "at-most", of: "a" } })], /no tempo/],
    ["a stranger", [a, region("b", 5, { link: { kind: "same", of: "z" } })], /not there/],
    [
      "a circle",
      [
        region("a", 1, { target: at(60), link: { kind: "same", of: "b" } }),
        region("b", 9, { link: { kind: "same", of: "a" } }),
      ],
      /circle: bar 1, bar 9/,
    ],
    [
      "a ratio of 0",
      [a, region("b", 5, { link: { kind: "ratio", of: "a", low: 0, high: 1 } })],
      /above 0/,
    ],
  ])("%s", (_, regions, sentence) => expect(refusal(regions)).toMatch(sentence));

  test("a fermata of 1,000 beats", () => {
    const held = { kind: "fermata", bar: 2, beat: 1, beats: 1000, through: false };
    expect(refusal([a], [held])).toMatch(/At most 64/);
  });
});
