import { barLength, timeInBar, type BeatUnit, type Bpm, type Metre } from "~/core/units";
import { frameOf, lengthAround } from "./frame";
import type { BeatMap, LoopBar, LoopRequest } from "./map";
import { MapWriter } from "./map-writer";
import { barPulses, lengthInSeconds } from "./pattern";

/**
 * One loop of the stand: count-in, the plays, breather. Playing begins after the lead beats of the
 * first bar, which are counted. The breather is at the first tempo, so that the next loop follows
 * at a bar line.
 */
export function loopMap(request: LoopRequest): BeatMap {
  const { bars, beatUnit, plays, click, leadBeats, endBeats, turnsIn } = request;
  const { counting, inner, leadFrom, lastTo, breather } = frameOf(request);
  const writer = new MapWriter(plays[0].tempo, beatUnit, click, request.turn);
  if (request.tempoChanged) writer.cue();

  const lead = leadBeats / bars[0]!.metre.unit;
  const isLed = lead > 0 && leadFrom === 0;
  const counted = counting.bars + (inner ? 1 : 0) + (isLed ? 1 : 0);
  for (let n = 1; n <= counting.bars; n++) {
    writer.countIn(counting.metre, { number: n, of: counted, from: n === 1 ? counting.from : 0 });
  }
  if (inner) writer.innerBar(counting.metre, counting.bars + 1, counted);

  plays.forEach((play, index) => {
    const next = plays[index + 1];
    const alike = plays.filter(({ pace }) => pace === play.pace);
    writer.playAt(play, { number: alike.indexOf(play) + 1, of: alike.length });
    bars.forEach((bar, i) => {
      const from = i === 0 && index === 0 ? leadFrom : 0;
      if (index === 0 && i === 0) writer.markIn("play-began", bar, isLed ? lead : from, from);
      const isLast = i === bars.length - 1;
      if (isLast && !next && endBeats > 0)
        writer.markIn("play-ended", bar, endBeats / bar.metre.unit, from);
      if (i === 0 && lead > 0) return writer.leadBar(bar, { lead, of: counted, from });
      const then = isLast && next ? { then: next.pace } : {};
      const turn = turnsIn ? { turn: { number: i + 1, of: bars.length } } : {};
      const to = isLast && !next ? lastTo : barLength(bar.metre);
      writer.playBar(bar, { of: bars.length, to, ...then, ...turn });
    });
  });
  if (endBeats === 0) writer.mark("play-ended");

  writer.playAt(plays[0]);
  for (let n = 1; n <= breather.bars; n++) {
    const to = n === breather.bars ? breather.lastTo : barLength(breather.metre);
    writer.breather(breather.metre, { number: n, of: breather.bars, to });
  }
  return writer.finish();
}

/** Whole notes at the tempo of the play from a bar's line to a point of it. */
const timeTo = ({ tempo }: LoopBar, at: number): number => (tempo ? timeInBar(tempo, at) : at);
const timeOf = (bar: LoopBar): number => timeTo(bar, barLength(bar.metre));

/** Whole notes of the bars of one play, as long as they take at its tempo. */
const lengthOfBars = ({ bars }: LoopRequest): number =>
  bars.reduce((sum, bar) => sum + timeOf(bar), 0);

/** Seconds that a loop lasts, from count-in to the end of the breather; no map is made. */
export function loopSeconds(request: LoopRequest): number {
  const { bars, beatUnit, plays } = request;
  const frame = frameOf(request);
  const [first, last] = [bars[0]!, bars.at(-1)!];
  const cut = timeOf(last) - timeTo(last, frame.lastTo);
  const wholes = lengthOfBars(request);
  const inSeconds = (length: number, tempo: Bpm) => lengthInSeconds(length, tempo, beatUnit);
  const around = inSeconds(lengthAround(frame) - timeTo(first, frame.leadFrom), plays[0].tempo);
  const all = plays.reduce((sum, { tempo }) => sum + inSeconds(wholes, tempo), around);
  return all - inSeconds(cut, plays.at(-1)!.tempo);
}

/** Seconds of the playing in a loop: from where the playing begins to where it ends. */
export function playingSeconds(request: LoopRequest): number {
  const { bars, beatUnit, plays, leadBeats, endBeats } = request;
  const [first, last] = [bars[0]!, bars.at(-1)!];
  const wholes = lengthOfBars(request);
  const left = endBeats > 0 ? timeOf(last) - timeTo(last, endBeats / last.metre.unit) : 0;
  const all = plays.reduce((sum, { tempo }) => sum + lengthInSeconds(wholes, tempo, beatUnit), 0);
  return (
    all -
    lengthInSeconds(timeTo(first, leadBeats / first.metre.unit), plays[0].tempo, beatUnit) -
    lengthInSeconds(left, plays.at(-1)!.tempo, beatUnit)
  );
}

/** A plain grid: so many bars of one metre with subdivisions, nothing before or after. */
export function gridMap(
  metre: Metre,
  tempo: Bpm,
  beatUnit: BeatUnit,
  subdivision: number,
  bars: number,
): BeatMap {
  const writer = new MapWriter(tempo, beatUnit);
  const pulses = barPulses(metre, beatUnit, subdivision);
  for (let number = 1; number <= bars; number++) writer.gridBar(metre, pulses, number, bars);
  return writer.finish();
}
