import type { BlockKind, LogKind } from "~/core/session";
import type { BeatUnit, Day } from "~/core/units";
import { words } from "~/words";

/** A line of the log. */
export interface LogLine {
  readonly id: string;
  readonly session_id: string | null;
  readonly kind: LogKind;
  readonly day: Day;
  readonly title: string;
  readonly name: string;
  readonly from_bar: number | null;
  readonly to_bar: number | null;
  readonly beat_unit: BeatUnit | null;
  readonly block: BlockKind | null;
  readonly minutes: number | null;
  readonly start: number | null;
  readonly reached: number | null;
  readonly ended_at: number | null;
  readonly by_clock: number | null;
  readonly plays: number | null;
  readonly clean: number | null;
  readonly note: string;
}

/** What a line is about, in words. */
export function whatOf({ title, name, from_bar, to_bar, block, kind }: LogLine): string {
  if (from_bar !== null && to_bar !== null)
    return `${title}, ${name || words.bars(from_bar, to_bar)}`;
  if (block) return title || words.block[block].name;
  return title || words.log.kinds[kind];
}

const tenth = (value: number | null): number | null =>
  value === null ? null : Math.round(value * 10) / 10;

/** The lines as a table of plain values. */
export const logRows = (lines: readonly LogLine[]) => ({
  columns: words.log.columns,
  rows: lines.map((line) => [
    line.day,
    words.log.kinds[line.kind],
    whatOf(line),
    line.from_bar,
    line.to_bar,
    tenth(line.minutes),
    line.beat_unit && words.beatUnit[line.beat_unit],
    line.start,
    line.reached,
    line.plays,
    line.clean,
    line.note,
  ]),
});
