import { valueOf } from "~/core/units";
import type { ExerciseMusic } from "./music";
import { midiOf } from "./pitch";

/** A tone in seconds from the beginning. */
interface Tone {
  readonly at: number;
  readonly seconds: number;
  readonly midi: number;
}

/** Every bar of an exercise is as long as a whole note, also where rests fill it. */
const BAR = 1;

/** An exercise as it sounds, at a tempo in quarter notes; both hands at once. */
export function tonesOfExercise(
  { staves, sounds }: ExerciseMusic,
  quartersAMinute: number,
): Tone[] {
  const seconds = (wholes: number): number => (wholes * 4 * 60) / quartersAMinute;
  const tones = staves.flatMap((bars) =>
    bars.flatMap((bar, number) => {
      let at = number * BAR;
      return bar.flatMap(({ pitches, duration }) => {
        const [from, lasts] = [at, valueOf(duration)];
        at += lasts;
        return pitches.map((pitch) => ({
          at: seconds(from),
          seconds: seconds(lasts),
          midi: midiOf(pitch) + sounds,
        }));
      });
    }),
  );
  return tones.sort((one, other) => one.at - other.at);
}
