import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { bpm, parseMetre, type BarTempo } from "~/core/units";
import { loopMap, loopSeconds, PLAIN_CLICK, playingSeconds, type LoopRequest } from ".";

const metre = parseMetre("4/4")!;
const tempo = (change: Partial<BarTempo> = {}): BarTempo => ({
  unit: "quarter",
  pieces: [{ from: 0, to: 1, atFrom: 1, atTo: 1 }],
  holds: [],
  silent: [],
  counted: [],
  ...change,
});
const request = (bars: LoopRequest["bars"], change: Partial<LoopRequest> = {}): LoopRequest => ({
  bars,
  leadBeats: 0,
  endBeats: 0,
  beatUnit: "quarter",
  plays: [{ tempo: bpm(60), pace: "steady" }],
  click: PLAIN_CLICK,
  tempoChanged: false,
  first: true,
  turn: 0,
  ...change,
});
const clicksOfPlay = (map: ReturnType<typeof loopMap>) => {
  const at = (name: string) => map.markers.find((marker) => marker.name === name)!.at;
  const [from, to] = [at("play-began"), at("play-ended")];
  const played = map.clicks.filter((click) => click.at > from - 1e-9 && click.at < to - 1e-9);
  return { played, from, to };
};

describe("bars with a tempo of their own", () => {
  test("a ritardando's clicks lie where its integral puts them, the light on every beat", () => {
    const half = [{ from: 0, to: 1, atFrom: 1, atTo: 0.5 }];
    const bars = [{ number: 1, metre, tempo: tempo({ pieces: half }) }];
    const { played, from, to } = clicksOfPlay(loopMap(request(bars)));
    // t(p) = 60 n / (v0 ln r) · (1 − r^(−p/n)) at 60 over four beats to a half.
    const t = (p: number) => ((60 * 4) / (60 * Math.log(0.5))) * (1 - 0.5 ** (-p / 4));
    expect(played).toHaveLength(4);
    played.forEach(({ at }, beat) => expect(at - from).toBeCloseTo(t(beat), 12));
    expect(to - from).toBeCloseTo(t(4), 12);
    const [bar] = loopMap(request(bars)).bars.filter(({ part }) => part === "play");
    expect(bar!.beats.map((at) => at - from)).toEqual(
      [0, 1, 2, 3].map((beat) => expect.closeTo(t(beat), 12)),
    );
  });

  test("another unit is clicked and told in itself", () => {
    const faster = tempo({ unit: "half", pieces: [{ from: 0, to: 1, atFrom: 1.5, atTo: 1.5 }] });
    const map = loopMap(request([{ number: 1, metre, tempo: faster }]));
    const [bar] = map.bars.filter(({ part }) => part === "play");
    expect(bar).toMatchObject({ tempo: 45, unit: "half" });
    expect(bar!.beats).toHaveLength(2);
  });

  test("silent stretches are silent, a held beat is long, and the count comes back", () => {
    const led = tempo({ holds: [{ at: 0.75, longer: 0.5 }], silent: [{ from: 0.25, to: 1 }] });
    const back = tempo({ counted: [{ from: 0, to: 1 }] });
    const bars = [
      { number: 1, metre, tempo: led },
      { number: 2, metre, tempo: back },
    ];
    const map = loopMap(request(bars));
    const { played, from } = clicksOfPlay(map);
    expect(played.map(({ at }) => at - from)).toEqual([0, 6, 7, 8, 9]);
    expect(played.slice(1).map(({ voice }) => voice)).toEqual([
      "accent",
      "count",
      "count",
      "count",
    ]);
    const [first] = map.bars.filter(({ part }) => part === "play");
    expect(first!.quiet).toBe(false);
    expect(first!.beats.map((at) => at - from)).toEqual([0, 1, 2, 5]);
  });

  test("a loop lasts as long as its map, with pickup, cut end and whatever bends its bars", () => {
    const share = fc.double({ min: 0.3, max: 3, noNaN: true });
    const bent = fc
      .record({
        cut: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        speeds: fc.tuple(share, share, share),
        hold: fc.option(fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 8 }))),
      })
      .map(({ cut, speeds: [a, b, c], hold }) =>
        tempo({
          pieces: [
            { from: 0, to: cut, atFrom: a, atTo: b },
            { from: cut, to: 1, atFrom: b, atTo: c },
          ],
          holds: hold ? [{ at: hold[0] / 4, longer: hold[1] / 4 }] : [],
        }),
      );
    const beats = fc.integer({ min: 0, max: 3 });
    fc.assert(
      fc.property(
        fc.array(bent, { minLength: 2, maxLength: 5 }),
        beats,
        beats,
        (all, lead, end) => {
          const bars = all.map((each, i) => ({ number: i + 1, metre, tempo: each }));
          const one = request(bars, { leadBeats: lead, endBeats: end });
          const map = loopMap(one);
          expect(loopSeconds(one)).toBeCloseTo(map.duration, 8);
          const { from, to } = clicksOfPlay(map);
          expect(playingSeconds(one)).toBeCloseTo(to - from, 8);
          map.bars.reduce((before, bar) => {
            expect(bar.start).toBeCloseTo(before, 8);
            return bar.start + bar.duration;
          }, 0);
        },
      ),
    );
  });
});
