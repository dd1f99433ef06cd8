import type { ExerciseMusic, ExerciseNote, Recipe } from "~/core/exercise";
import { compare, difference, fraction, NOTHING, sum, type BeatUnit } from "~/core/units";
import { valuesFor, type Draft, type DraftBar, type DraftEvent } from "../draft";

/** What is told of an exercise besides its notes. */
export interface ExerciseTold {
  readonly title: string;
  readonly composer: string;
  readonly part: string;
  readonly mark: { readonly unit: BeatUnit; readonly bpm: number };
}

const EDGES = { first: "start", middle: undefined, last: "stop" } as const;
const BAR = fraction(1);

/** A bar of one staff; what is not filled rests. */
function eventsOf(notes: readonly ExerciseNote[], staff: number): DraftEvent[] {
  const events = notes.map(({ pitches, duration, triplet, hand }): DraftEvent => ({
    pitches,
    duration,
    staff,
    lyric: hand,
    ...(triplet ? { tuplet: { actual: 3, normal: 2, edge: EDGES[triplet] } } : {}),
  }));
  const filled = notes.reduce((all, { duration }) => sum(all, duration), NOTHING);
  const left = difference(BAR, filled);
  if (compare(left, NOTHING) <= 0) return events;
  const rests = valuesFor(left).map((duration): DraftEvent => ({ pitches: [], duration, staff }));
  return [...events, ...rests];
}

/** An exercise as music that can be written out. */
export function draftOfExercise(
  { metre, fifths, minor, struck, sounds, staves }: ExerciseMusic,
  { clef, words }: Pick<Recipe, "clef" | "words">,
  { title, composer, part, mark }: ExerciseTold,
): Draft {
  const [first] = staves;
  const own = struck ? ("percussion" as const) : clef;
  const clefs = staves.length === 2 ? (["treble", "bass"] as const) : ([own] as const);
  const bars = first!.map((_, at): DraftBar => ({
    voices: staves.map((bars, staff) => eventsOf(bars[at]!, staff + 1)),
    ...(at === 0 ? { metre, key: { fifths, minor }, clefs, tempo: { ...mark, words } } : {}),
  }));
  return {
    title,
    composer,
    pickup: false,
    parts: [{ name: part, transposition: sounds, staves: staves.length, bars }],
    unread: [],
  };
}
