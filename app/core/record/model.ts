/**
 * How likely a clean play is at a tempo: logistic in log-tempo,
 * P(clean | t) = (1 − λ) / (1 + exp((ln t − c) / w)).
 * c places the fall, w is its width, λ the slips that happen at any tempo.
 */
export interface CleanCurve {
  /** ln of the tempo at which the fall is half done. */
  readonly centre: number;
  /** Width of the fall in ln-tempo; 0.08 means from 86 % to 12 % within about ± 16 %. */
  readonly width: number;
}

/** Slips at any tempo: one play in fifty. */
export const LAPSE = 0.02;

export const cleanProbability = ({ centre, width }: CleanCurve, tempo: number): number =>
  (1 - LAPSE) / (1 + Math.exp((Math.log(tempo) - centre) / width));

/** The tempo at which a play is clean with the given probability: the curve read backwards. */
export const tempoAt = ({ centre, width }: CleanCurve, probability: number): number =>
  Math.exp(centre + width * Math.log((1 - LAPSE) / probability - 1));

/** Comfortable: a clean play is nearly certain. Ceiling: it breaks every other time (craft, 4). */
export const COMFORTABLE_PROBABILITY = 0.9;
export const CEILING_PROBABILITY = 0.5;
