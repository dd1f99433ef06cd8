import { measureOnsets, recordLive, recordOffline, type OnsetReport } from "~/audio/engine";
import { gridMap, type BeatMap } from "~/core/click";
import { bpm } from "~/core/units";

export interface ClickCheck {
  /** Tempi one after the other, changing at a bar line. */
  readonly tempi: readonly number[];
  readonly subdivision: number;
  /** In all, shared among the tempi. */
  readonly seconds: number;
  readonly live: boolean;
  readonly volume: number;
}

export interface CheckedClick extends OnsetReport {
  readonly sampleRate: number;
}

const METRE = { beats: 4, unit: 4 } as const;

function mapsOf({ tempi, subdivision, seconds }: ClickCheck): BeatMap[] {
  return tempi.map((tempo) => {
    const barSeconds = (4 * 60) / tempo;
    const bars = Math.max(1, Math.round(seconds / tempi.length / barSeconds));
    return gridMap(METRE, bpm(tempo), "quarter", subdivision, bars);
  });
}

/** Plays a grid and measures, in samples, how far each click lies from its place. */
export async function checkClick(check: ClickCheck): Promise<CheckedClick> {
  const maps = mapsOf(check);
  const recording = await (check.live ? recordLive(maps, check.volume) : recordOffline(maps));
  let begun = 0;
  const expected = maps.flatMap(({ clicks, duration }) => {
    const from = begun;
    begun += duration;
    return clicks.map(({ at }) => recording.sampleAt(from + at));
  });
  const report = measureOnsets(recording.samples, expected);
  return { ...report, sampleRate: recording.sampleRate };
}
