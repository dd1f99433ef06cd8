import type { BeatUnit, Bpm, Metre } from "~/core/units";
import type { BeatMap, LoopRequest } from "./map";
import { MapWriter } from "./map-writer";
import { barPulses, lengthInSeconds } from "./pattern";

const SHORTEST_BREATHER_SECONDS = 4;
const MOST_BREATHER_BARS = 4;

const barSeconds = (metre: Metre, tempo: Bpm, beatUnit: BeatUnit): number =>
  lengthInSeconds(metre.beats / metre.unit, tempo, beatUnit);

/** Whole bars that make a breather of at least four seconds, four bars at most. */
export function breatherBars(metre: Metre, tempo: Bpm, beatUnit: BeatUnit): number {
  const bar = barSeconds(metre, tempo, beatUnit);
  return Math.min(MOST_BREATHER_BARS, Math.max(1, Math.ceil(SHORTEST_BREATHER_SECONDS / bar)));
}

/**
 * One loop of the stand: count-in, the plays, breather. Playing begins after the lead beats of the
 * first bar, which are counted. The breather is at the first tempo, so that the next loop follows
 * at a bar line.
 */
export function loopMap(request: LoopRequest): BeatMap {
  const { bars, beatUnit, plays, click, leadBeats, endBeats } = request;
  const first = bars[0]!.metre;
  const last = bars.at(-1)!.metre;
  const { tempo } = plays[0];
  const writer = new MapWriter(tempo, beatUnit, click, request.turn);
  if (request.tempoChanged) writer.cue();

  const counting = click.countIn.bars + (click.countIn.inner ? 1 : 0) + (leadBeats > 0 ? 1 : 0);
  for (let n = 1; n <= click.countIn.bars; n++) writer.countIn(first, n, counting);
  if (click.countIn.inner) writer.innerBar(first, click.countIn.bars + 1, counting);

  plays.forEach((play, index) => {
    const next = plays[index + 1];
    const alike = plays.filter(({ pace }) => pace === play.pace);
    writer.playAt(play, { number: alike.indexOf(play) + 1, of: alike.length });
    bars.forEach((bar, i) => {
      const lead = i === 0 && leadBeats > 0 ? leadBeats / bar.metre.unit : 0;
      if (index === 0 && i === 0) writer.mark("play-began", lead);
      const isLast = i === bars.length - 1;
      if (isLast && !next && endBeats > 0) writer.mark("play-ended", endBeats / bar.metre.unit);
      if (lead > 0) writer.leadBar(bar, lead, counting);
      else writer.playBar(bar, bars.length, isLast && next ? next.pace : undefined);
    });
  });
  if (endBeats === 0) writer.mark("play-ended");

  writer.playAt(plays[0]);
  const resting = breatherBars(last, tempo, beatUnit);
  for (let n = 1; n <= resting; n++) writer.breather(last, n, resting);
  return writer.finish();
}

/** Seconds that a loop lasts, from count-in to the end of the breather; no map is made. */
export function loopSeconds({ bars, beatUnit, plays, click }: LoopRequest): number {
  const first = bars[0]!.metre;
  const last = bars.at(-1)!.metre;
  const { tempo } = plays[0];
  const wholes = bars.reduce((sum, { metre }) => sum + metre.beats / metre.unit, 0);
  const counted = click.countIn.bars + (click.countIn.inner ? 1 : 0);
  const around =
    counted * barSeconds(first, tempo, beatUnit) +
    breatherBars(last, tempo, beatUnit) * barSeconds(last, tempo, beatUnit);
  return plays.reduce((sum, play) => sum + lengthInSeconds(wholes, play.tempo, beatUnit), around);
}

/** Seconds of the playing in a loop: from where the playing begins to where it ends. */
export function playingSeconds(request: LoopRequest): number {
  const { bars, beatUnit, plays, leadBeats, endBeats } = request;
  const [first, last] = [bars[0]!.metre, bars.at(-1)!.metre];
  const wholes = bars.reduce((sum, { metre }) => sum + metre.beats / metre.unit, 0);
  const left = endBeats > 0 ? (last.beats - endBeats) / last.unit : 0;
  const all = plays.reduce((sum, { tempo }) => sum + lengthInSeconds(wholes, tempo, beatUnit), 0);
  return (
    all -
    lengthInSeconds(leadBeats / first.unit, plays[0].tempo, beatUnit) -
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
