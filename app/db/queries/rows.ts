import { madeSchema } from "~/core/exercise";
import * as v from "valibot";
import { ladderSchema } from "~/core/ladder";
import { levelSchema } from "~/core/record";
import {
  beatUnitSchema,
  tempiSchema,
  metreRegionsSchema,
  PASSAGE_NOTES,
  PASSAGE_STATES,
  PIECE_KINDS,
  tempoSchema,
} from "~/core/score";
import { keptPaceSchema, NO_VERDICT_CHOICES } from "~/core/session";
import { rotationSchema, storedTimesSchema } from "~/core/week";
import { bpm } from "~/core/units";

export const idRow = v.pipe(v.string(), v.uuid());
/** A moment, as the database hands it over by itself or as text among other rows. */
export const momentRow = v.union([
  v.date(),
  v.pipe(
    v.string(),
    v.transform((text) => new Date(text)),
    v.date(),
  ),
]);
export const dayRow = v.pipe(v.string(), v.isoDate());
export const tempoRow = v.pipe(tempoSchema, v.transform(bpm));

export const studioRow = v.object({
  id: idRow,
  name: v.string(),
  time_zone: v.string(),
  concert_name: v.string(),
  concert_on: v.nullable(dayRow),
  demo: v.boolean(),
});
export type Studio = v.InferOutput<typeof studioRow>;

export const personRow = v.object({
  id: idRow,
  name: v.string(),
  role: v.picklist(["teacher", "student", "parent"]),
  plays: v.boolean(),
  instrument: v.string(),
  no_verdict: v.picklist(NO_VERDICT_CHOICES),
  times: storedTimesSchema,
});
export type Person = v.InferOutput<typeof personRow>;

export const pieceRow = v.pipe(
  v.object({
    id: idRow,
    title: v.string(),
    origin: v.string(),
    kind: v.picklist(PIECE_KINDS),
    bars: v.number(),
    pickup_beats: v.number(),
    metres: metreRegionsSchema,
    mark_bpm: tempoRow,
    mark_unit: beatUnitSchema,
    tempi: v.nullable(tempiSchema),
    made: v.nullable(madeSchema),
  }),
  v.transform(({ pickup_beats, mark_bpm, mark_unit, ...rest }) => ({
    ...rest,
    pickupBeats: pickup_beats,
    markBpm: mark_bpm,
    markUnit: mark_unit,
  })),
);
export type Piece = v.InferOutput<typeof pieceRow>;

/** What is believed of a passage after a day on which it was played. */
const passageLevelRow = v.object({
  day: dayRow,
  level: levelSchema,
  /** No tempo above it is called comfortable. */
  most: v.nullable(v.number()),
});

/** A passage with its piece, the ladder in force and what is believed of it. */
export const passageRow = v.pipe(
  v.object({
    id: idRow,
    person_id: idRow,
    piece_id: idRow,
    name: v.string(),
    focus: v.string(),
    from_bar: v.number(),
    to_bar: v.number(),
    pickup_beats: v.number(),
    start_beats: v.number(),
    end_beats: v.number(),
    only_notes: v.picklist(PASSAGE_NOTES),
    beat_unit: v.nullable(beatUnitSchema),
    hardness: v.nullable(v.number()),
    played_order: v.nullable(v.array(v.number())),
    state_set: v.nullable(v.picklist(PASSAGE_STATES)),
    retired_at: v.nullable(momentRow),
    piece: pieceRow,
    ladder: v.nullable(ladderSchema),
    ended_tempo: v.nullable(tempoRow),
    end_phase: v.nullable(v.number()),
    end_stage: v.nullable(v.number()),
    way: v.nullable(v.string()),
    pace: v.nullable(keptPaceSchema),
    days: v.nullable(v.array(passageLevelRow)),
    last_day: v.nullable(dayRow),
    passed: v.nullable(
      v.array(
        v.object({
          material: v.string(),
          tempo: tempoRow,
          top: tempoRow,
          whole: v.boolean(),
          days: v.number(),
        }),
      ),
    ),
    plays: v.number(),
    practice_days: v.number(),
    reached: v.nullable(tempoRow),
    given_from: v.nullable(idRow),
    given_number: v.nullable(v.number()),
    given_exercise: v.nullable(idRow),
    given_version: v.nullable(v.number()),
    ladder_number: v.nullable(v.number()),
    weeks: v.nullable(
      v.array(v.object({ from_day: dayRow, until_day: dayRow, keys: rotationSchema })),
    ),
  }),
  v.transform((row) => ({
    id: row.id,
    personId: row.person_id,
    pieceId: row.piece_id,
    name: row.name,
    focus: row.focus,
    fromBar: row.from_bar,
    toBar: row.to_bar,
    pickupBeats: row.pickup_beats,
    startBeats: row.start_beats,
    endBeats: row.end_beats,
    onlyNotes: row.only_notes,
    /** In which its tempi are told. */
    beatUnit: row.beat_unit ?? row.piece.markUnit,
    hardness: row.hardness,
    order: row.played_order ?? [],
    stateSet: row.state_set,
    /** When it was taken off the stand. */
    retiredAt: row.retired_at,
    piece: row.piece,
    ladder: row.ladder,
    /** Where the latest session ended, and in which row of schools that is a place. */
    ended:
      row.ended_tempo === null
        ? null
        : {
            tempo: row.ended_tempo,
            place: { phase: row.end_phase ?? 0, stage: row.end_stage ?? 0 },
            way: row.way ?? "",
          },
    /** Count-in and breather as the player last set them. */
    pace: row.pace,
    /** What is believed after the last two days on which it was played, the latest first. */
    days: row.days ?? [],
    /** The fastest tempo passed on the latest day on which one was. */
    reached: row.reached,
    lastDay: row.last_day,
    /** What was ever passed, with at least one clean play: material, tempo, on how many days. */
    passed: row.passed ?? [],
    /** Judged plays in all. */
    plays: row.plays,
    /** Days on which it was played. */
    practiceDays: row.practice_days,
    /** The newest weeks that were set, the latest first, with the keys that each asks it in. */
    weeks: row.weeks ?? [],
    /** What it was given from, its ladder or version then, and whether its own was changed since. */
    given:
      row.given_from === null && row.given_exercise === null
        ? null
        : {
            from: row.given_from ?? row.given_exercise,
            number: row.given_number ?? row.given_version,
            changed: (row.ladder_number ?? 0) > 1,
          },
  })),
);
export type Passage = v.InferOutput<typeof passageRow>;
