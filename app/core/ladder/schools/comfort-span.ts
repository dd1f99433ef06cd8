import * as v from "valibot";
import type { Gate } from "~/core/gate";
import { nearestPlayable, TEMPO_LIMITS } from "~/core/units";
import { numberBetween, wholeBetween, wholeBpmStep } from "../number-schema";
import { eachTempo, type School } from "../school";

const numbers = v.object({
  /** bpm between tempi; default 6, 1–50. */
  step: wholeBpmStep,
  /** steps each way; default 2, 1–10. */
  steps: wholeBetween(1, 10, "steps"),
  /** how long each tempo is held, in seconds; default 30, 15–600. */
  hold: numberBetween(15, 600, "seconds"),
});

/**
 * Comfort span: from the comfortable tempo so many steps down, back to it, so many up, back to it,
 * each held for a set time (craft, 5.7). Slow is harder for evenness: more space to fill.
 */
export const comfortSpan: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "step", unit: "bpm", initial: 6, min: 1, max: 50 },
    { kind: "number", key: "steps", unit: "steps", initial: 2, min: 1, max: 10 },
    {
      kind: "number",
      key: "hold",
      unit: "seconds",
      initial: 30,
      min: 15,
      max: 600,
      by: 15,
      hold: true,
    },
  ],
  tempo: "centres",
  impossible({ step, steps }, { start }) {
    const [lowest, highest] = [start - step * steps, start + step * steps];
    const told = (tempo: number, edge: string) => ({
      field: "start",
      sentence: `${steps} steps of ${step} bpm from ${start} lead to ${tempo} bpm; ${edge}.`,
    });
    if (lowest < TEMPO_LIMITS.lowest) return told(lowest, `${TEMPO_LIMITS.lowest} is the slowest`);
    if (highest > TEMPO_LIMITS.highest) {
      return told(highest, `${TEMPO_LIMITS.highest} is the fastest`);
    }
    return undefined;
  },
  *steps({ step, steps, hold }, { start }) {
    const gate: Gate = [{ kind: "clock-minutes", minutes: hold / 60, back: false }];
    const away = Array.from({ length: steps }, (_, i) => i + 1);
    const offsets = [0, ...away.map((n) => -n), 0, ...away, 0];
    const tempi = offsets.map((offset) => nearestPlayable(start + offset * step));
    for (const rung of eachTempo(tempi)) yield { ...rung, gate };
  },
};
