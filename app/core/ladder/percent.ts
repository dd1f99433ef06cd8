import type { Bpm } from "~/core/units";

/** A tempo as whole percent of a full tempo, and back: exact for whole percents. */
export const percentOf = (full: number, tempo: number): number => Math.round((tempo * 100) / full);
export const tempoAt = (full: number, percent: number): Bpm => ((full * percent) / 100) as Bpm;
