import { PITCHES, type ClickProgramme, type Pitch } from "~/core/click";
import { parseKey, type Key } from "~/core/units";
import { partNow } from "./parts";
import { layerNow, type StandState } from "./state";

const SEMITONES = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 } as const;

/** The pitch on which a key rests, as the drone names it: D♯ is its E♭. */
const tonicOf = ({ letter, accidental }: Key): Pitch =>
  PITCHES[(SEMITONES[letter] + accidental + PITCHES.length) % PITCHES.length]!;

/** The key of what is played now: that of its task, else the week's. */
export function keyNow(state: StandState): Key | undefined {
  const task = layerNow(state);
  const name = task?.kind === "key" ? task.name : partNow(state).said?.key;
  return name ? parseKey(name) : undefined;
}

/** A drone follows the key; without one it stays as it was set. */
export function inKey(click: ClickProgramme, key: Key | undefined): ClickProgramme {
  const { drone } = click;
  return drone && key ? { ...click, drone: { ...drone, pitch: tonicOf(key) } } : click;
}
