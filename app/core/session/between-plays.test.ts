import { describe, expect, test } from "@jest/globals";
import { loopMap, PLAIN_CLICK, type Breather, type ClickProgramme } from "~/core/click";
import { staircase, type Rung } from "~/core/ladder";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { bpm, parseMetre, type BeatUnit } from "~/core/units";
import { loopOfRung, playTimes, type Played } from ".";

const common = parseMetre("4/4")!;
const over = (
  text: string,
  bars: number,
  { beatUnit = "quarter" as BeatUnit, pickupBeats = 0, startBeats = 0, endBeats = 0 } = {},
): Played => ({
  fromBar: 1,
  toBar: bars,
  pickupBeats,
  startBeats,
  order: [],
  endBeats,
  beatUnit,
  bars: barsOf(bars).map((bar) => ({ ...bar, metre: parseMetre(text)! })),
  around: { before: [], after: [] },
});
const even = { name: "even-steps", numbers: { step: 10 } };
const byBeats = { name: "woven-chain", numbers: { unit: "beat", size: 1, step: 24, window: 8 } };
const rungsOf = (block: Played, school: object, click: Partial<ClickProgramme>, start = 72) =>
  staircase(aLadder(school as never, start, start + 48, { click: { ...PLAIN_CLICK, ...click } }), {
    start: bpm(start),
    bars: block.bars,
  });
const seconds = (count: number): Breather => ({ kind: "seconds", seconds: count });
const countIn = (change: Partial<ClickProgramme["countIn"]>) => ({
  countIn: { ...PLAIN_CLICK.countIn, ...change },
});
/** The beats counted before the first note at 60, by their seconds. */
const counted = (text: string, beatUnit: BeatUnit = "quarter") => {
  const block = over(text, 1, { beatUnit });
  const [rung] = rungsOf(block, even, countIn({ bars: 0.5 }), 60);
  const map = loopMap(loopOfRung(block, rung!));
  const began = map.markers.find(({ name }) => name === "play-began")!.at;
  return map.clicks.filter(({ at }) => at < began - 1e-9).map(({ at }) => began - at);
};

describe("counting in", () => {
  test("half a bar is its beat groups from the middle on", () => {
    expect(counted("4/4")).toEqual([2, 1]);
    expect(counted("3/4")).toEqual([1]);
    expect(counted("6/8", "dotted-quarter")).toEqual([1]);
    // 7/8 as 2+2+3: the group of three, told by its first note.
    expect(counted("2+2+3/8")).toEqual([1.5]);
  });

  test("may sound with the subdivision, so that the triplets are felt first", () => {
    const block = over("4/4", 1);
    const [rung] = rungsOf(block, even, countIn({ subdivision: 3 }), 60);
    const map = loopMap(loopOfRung(block, rung!));
    expect(map.clicks.filter(({ at }) => at < 4 - 1e-9)).toHaveLength(12);
    expect(map.clicks.filter(({ at }) => at >= 4 && at < 8 - 1e-9)).toHaveLength(4);
  });

  test("only before the first play, it comes again only where the playing begins anew", () => {
    const block = over("4/4", 2);
    const [rung] = rungsOf(block, even, { ...countIn({ firstOnly: true }), breather: seconds(2) });
    const bar = (4 * 60) / 72;
    const { seconds: each, begin } = playTimes(block, rung!);
    expect(each).toBeCloseTo(3 * bar, 9);
    expect(begin).toBeCloseTo(bar, 9);
  });
});

describe("breathing", () => {
  test("a half bar that is counted in completes the breather's last bar", () => {
    const block = over("4/4", 1);
    const [rung] = rungsOf(block, even, { ...countIn({ bars: 0.5 }), breather: seconds(1) }, 60);
    const map = loopMap(loopOfRung(block, rung!));
    expect(map.bars.map(({ part, duration }) => `${part} ${duration}`)).toEqual([
      ...["count-in 2", "play 4", "breather 2"],
    ]);
  });

  test("without one, the next play follows at once; in time, a pickup overlaps the last bar", () => {
    const block = over("4/4", 2, { pickupBeats: 1, endBeats: 3 });
    const [rung] = rungsOf(block, even, { breather: { kind: "in-time" } }, 60);
    const { seconds: each, begin, playing } = playTimes(block, rung!);
    expect([each, playing]).toEqual([8, 8]);
    // The count-in and the bar before the pickup at first; the play that is only finished at last.
    expect(begin).toBe(4 + 3 + 8);
    expect(playTimes(over("4/4", 2), rung!).seconds).toBe(8);
  });
});

describe("a link shorter than a bar", () => {
  const turnsOf = (block: Played, rung: Rung) =>
    loopMap(loopOfRung(block, rung)).bars.filter(({ turn }) => turn);

  test("is played in turns, each with a beat to land on, until two bars are filled", () => {
    const block = over("4/4", 1);
    const [one, , , , , two] = rungsOf(block, byBeats, {});
    expect(turnsOf(block, one!).map(({ beats }) => beats.length)).toEqual([2, 2, 2, 2]);
    expect(turnsOf(block, two!).map(({ beats }) => beats.length)).toEqual([3, 3, 3]);
    const whole = staircase(aLadder(even, 72, 120), { start: bpm(72), bars: block.bars })[0]!;
    expect(turnsOf(block, whole)).toEqual([]);
  });

  test("lands on a beat of the tempo mark, or of the metre where the link doesn't fill one", () => {
    const six = over("6/8", 1, { beatUnit: "dotted-quarter" });
    const segment = (startBeat: number, endBeats: number) => ({
      ...rungsOf(six, even, {})[0]!,
      segment: { fromBar: 1, toBar: 1, startBeat, endBeats },
    });
    expect(turnsOf(six, segment(0, 3)).map(({ beats }) => beats.length)).toEqual([2, 2]);
    expect(turnsOf(six, segment(3, 4)).every(({ beats }) => beats.length === 2)).toBe(true);
    const seven = over("2+2+3/8", 1, { beatUnit: "eighth" });
    const two = { ...segment(0, 2), click: PLAIN_CLICK };
    expect(turnsOf(seven, two).map(({ beats }) => beats.length)).toEqual([3, 3, 3, 3, 3]);
  });

  test("is cut inside a bar: a passage that ends within its last bar is played once", () => {
    const block = over("4/4", 1, { endBeats: 3 });
    const [whole] = rungsOf(block, even, {});
    expect(turnsOf(block, whole!)).toEqual([]);
    const last = { ...whole!, segment: { fromBar: 1, toBar: 1, startBeat: 2, endBeats: 0 } };
    expect(turnsOf(block, last).map(({ beats }) => beats.length)).toEqual([2, 2, 2, 2]);
  });

  test("so goes a passage of some beats of a bar, as of two neighbouring notes", () => {
    const block = over("4/4", 1, { startBeats: 1, endBeats: 3 });
    const [whole] = rungsOf(block, even, {});
    expect(turnsOf(block, whole!).map(({ beats }) => beats.length)).toEqual([3, 3, 3]);
    const longer = over("4/4", 2, { startBeats: 1, endBeats: 3 });
    const [once] = rungsOf(longer, even, {});
    const map = loopMap(loopOfRung(longer, once!));
    expect(turnsOf(longer, once!)).toEqual([]);
    const heard = map.bars.filter(({ part }) => part === "lead" || part === "play");
    expect(heard.map(({ part, number }) => [part, number])).toEqual([
      ["lead", 1],
      ["play", 2],
    ]);
  });

  test("with its repeats a passage is played in their order, whole or in context, and some bars once", () => {
    const block = { ...over("4/4", 3), order: [1, 2, 1, 3] };
    const [whole] = rungsOf(block, even, {});
    const heard = (rung: Rung) =>
      loopMap(loopOfRung(block, rung))
        .bars.filter(({ part }) => part === "play")
        .map(({ number }) => number);
    expect(heard(whole!)).toEqual([1, 2, 1, 3]);
    const some = { fromBar: 1, toBar: 2, startBeat: 0, endBeats: 0 };
    expect(heard({ ...whole!, segment: some })).toEqual([1, 2]);
  });

  test("fills most of the time of a bar woven by beats at 72", () => {
    const block = over("4/4", 1);
    const pace = { ...countIn({ firstOnly: true }), breather: seconds(2) };
    const plays = 3;
    let [turns, all] = [0, 0];
    for (const rung of rungsOf(block, byBeats, pace)) {
      const { seconds: each, begin, playing } = playTimes(block, rung);
      turns += plays * playing;
      // From the first click of the rung to the last: the breather after it is another rung's.
      all += begin + plays * each - (each - playing);
    }
    expect(turns / all).toBeGreaterThan(0.6);
    expect(block.bars[0]!.metre).toEqual(common);
  });
});
