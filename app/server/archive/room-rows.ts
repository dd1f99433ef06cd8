import * as v from "valibot";
import { madeSchema } from "~/core/exercise";
import { ladderChangeSchema } from "~/core/judge";
import { ladderSchema } from "~/core/ladder";
import { placesSchema, takeSchema } from "~/core/listen";
import { levelSchema } from "~/core/record";
import {
  beatUnitSchema,
  metreRegionsSchema,
  paperLayoutSchema,
  PASSAGE_NOTES,
  PASSAGE_STATES,
  PIECE_KINDS,
  pieceShapeSchema,
  scoreNotesSchema,
  scoreSchema,
  stagesSchema,
  tempiSchema,
  tempoSchema,
} from "~/core/score";
import {
  FEELINGS,
  FLAWS,
  MEASURE_SOURCES,
  keptPaceSchema,
  mustDoSchema,
  NO_VERDICT_CHOICES,
  RATED,
  RATINGS,
  sessionEventSchema,
  sessionPlanSchema,
  shapeSchema,
} from "~/core/session";
import { isTimeZone } from "~/core/units";
import {
  assignmentSchema,
  FOCUSES,
  gradeRuleSchema,
  GROUP_KINDS,
  groupItemSchema,
  itemSchema,
  memoryPlanSchema,
  ratingScaleSchema,
  REASONS,
  shorthandSchema,
  storedTimesSchema,
} from "~/core/week";
import type { RoomTableName } from "~/db/queries";
import { nameSchema, shortText } from "~/forms/names";
import { SOUND_KINDS } from "../takes/sound-kind";

const rows = (columns: v.ObjectEntries = {}) => v.looseObject(columns);
const text = (most: number) => v.pipe(v.string(), v.maxLength(most));
const count = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(1_000_000));
const share = v.pipe(v.number(), v.minValue(0), v.maxValue(1));
const seconds = v.pipe(v.number(), v.minValue(0), v.maxValue(10_000_000));
const verdict = v.picklist(["clean", "flawed"]);
/** Counted tempi may be those of a fast line, twice the ladder's. */
const counted = v.pipe(v.number(), v.minValue(0), v.maxValue(10_000));
const bar = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(9999));
const beatsOfBar = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(999));
const shape = pieceShapeSchema.pipe[0].entries;

const eventRow = v.pipe(
  rows({ at: v.string() }),
  v.check(
    (row) => v.is(sessionEventSchema, { ...row, at: Date.parse(String(row.at)) }),
    "an event that no session knows",
  ),
);

/** An item as a week or a draft has it, by the form's own measures. */
const { entries: said } = itemSchema;
const itemRow = rows({
  kind: said.kind,
  title: said.title,
  focus: said.focus,
  focuses: v.array(v.picklist(FOCUSES)),
  often: v.picklist(["daily", "every-other", "times"]),
  minutes: said.minutes,
  goal_tempo: v.optional(said.goalTempo),
  note: said.note,
  bring: said.bring,
  record_run: v.optional(said.recordRun),
  keys: said.keys,
  origin: said.origin,
  decision: said.decision,
});

/**
 * What the rows of a room's file must be like, as the forms and the stand ask it of those who type:
 * beyond the types of their columns, which the database tells.
 */
export const ROW_SCHEMAS: Readonly<Record<RoomTableName, v.GenericSchema>> = {
  studio: rows({
    name: nameSchema("a name"),
    time_zone: v.pipe(v.string(), v.check(isTimeZone, "no time zone that this machine knows")),
    concert_name: text(200),
    takes_days: v.optional(v.pipe(v.number(), v.minValue(1), v.maxValue(3650))),
    year_ends: v.optional(v.pipe(count, v.minValue(1), v.maxValue(12))),
    grading: v.nullish(gradeRuleSchema),
    rating_scale: v.optional(ratingScaleSchema),
  }),
  person: rows({
    name: nameSchema("a name"),
    role: v.picklist(["teacher", "student", "parent", "leaving"]),
    instrument: shortText,
    no_verdict: v.picklist(NO_VERDICT_CHOICES),
    times: storedTimesSchema,
    must_do: mustDoSchema,
    shorthand: v.nullish(shorthandSchema),
  }),
  looks_on: rows(),
  piece: v.pipe(
    rows({
      title: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
      origin: text(200),
      kind: v.picklist(PIECE_KINDS),
      bars: shape.bars,
      pickup_beats: shape.pickupBeats,
      mark_bpm: tempoSchema,
      mark_unit: beatUnitSchema,
      metres: metreRegionsSchema,
      tempi: v.nullish(tempiSchema),
      made: v.nullish(madeSchema),
    }),
    v.check(
      ({ bars, pickup_beats, metres, mark_bpm, mark_unit }) =>
        v.is(pieceShapeSchema, {
          bars,
          metres,
          pickupBeats: pickup_beats,
          markBpm: mark_bpm,
          markUnit: mark_unit,
        }),
      "bars, pickup and metres that don't go together",
    ),
  ),
  person_piece: rows({ stages: v.nullish(stagesSchema), part_id: v.nullish(text(200)) }),
  exercise: rows({
    name: text(80),
    version: count,
    passages: v.array(rows({ ladder: v.nullable(ladderSchema) })),
  }),
  passage: v.pipe(
    rows({
      name: text(120),
      focus: text(120),
      from_bar: bar,
      to_bar: bar,
      pickup_beats: beatsOfBar,
      start_beats: v.optional(beatsOfBar),
      end_beats: beatsOfBar,
      state_set: v.nullish(v.picklist(PASSAGE_STATES)),
      only_notes: v.optional(v.picklist(PASSAGE_NOTES)),
      beat_unit: v.nullish(beatUnitSchema),
      hardness: v.nullish(share),
      played_order: v.nullish(v.pipe(v.array(bar), v.maxLength(10_000))),
    }),
    v.check((row) => Number(row.to_bar) >= Number(row.from_bar), "it ends before it begins"),
  ),
  ladder: rows({ number: count, ladder: ladderSchema }),
  kept_ladder: rows({ name: text(80), ladder: ladderSchema }),
  session: rows({ plan: sessionPlanSchema }),
  session_event: eventRow,
  assignment: v.pipe(
    rows({ word: assignmentSchema.entries.word, version: count }),
    v.check((row) => String(row.until_day) > String(row.from_day), "it ends before it begins"),
  ),
  item: rows(),
  week_item: itemRow,
  draft: v.pipe(
    rows({ word: assignmentSchema.entries.word, version: count }),
    v.check((row) => String(row.until_day) > String(row.from_day), "it ends before it begins"),
  ),
  draft_item: itemRow,
  student_group: rows({ name: text(80), kind: v.picklist(GROUP_KINDS) }),
  group_member: rows(),
  group_item: rows({ asked: groupItemSchema }),
  group_landed: rows({
    item: v.nullable(itemSchema),
    left_out: v.nullish(v.picklist(["by-you", "hurt", "full"])),
  }),
  practice_by_hand: rows({
    minutes: v.pipe(v.number(), v.minValue(1), v.maxValue(600)),
    note: text(500),
  }),
  item_enough: rows(),
  item_day: v.pipe(
    rows({ minutes: v.pipe(count, v.maxValue(600)), why: v.nullish(v.picklist(REASONS)) }),
    v.check(
      ({ minutes, why }) => Number(minutes) > 0 === !why,
      "its minutes and its reason don't agree",
    ),
  ),
  session_shape: rows({ name: text(80), shape: shapeSchema }),
  memory_plan: rows({ plan: memoryPlanSchema, stands: count }),
  question: rows({ text: text(500), answer: text(5000) }),
  advice_dismissed: rows({ key: text(300) }),
  take_heard: rows({ flawed: v.array(bar), stand_verdict: v.nullish(verdict) }),
  today_change: rows({ change: ladderChangeSchema, rule: text(100) }),
  advice_off: rows({ rule: text(100) }),
  take: rows({
    tempo: tempoSchema,
    about: takeSchema,
    bytes: v.pipe(count, v.minValue(1)),
    media_type: v.picklist(SOUND_KINDS),
  }),
  hand_in: rows({
    title: text(200),
    line: text(1000),
    rating: text(60),
    answer: v.nullish(v.picklist(["heard", "again"])),
  }),
  hand_in_comment: rows({
    bar: v.nullish(bar),
    text: text(500),
    media_type: v.nullish(v.picklist(SOUND_KINDS)),
  }),
  demonstration: rows({
    name: text(120),
    media_type: v.picklist(SOUND_KINDS),
    places: placesSchema,
  }),
  worded_goal: rows({ span: v.picklist(["day", "week", "month", "year"]), text: text(200) }),
  score: rows({
    edition: count,
    file_name: text(200),
    score: scoreSchema,
    notes: scoreNotesSchema,
    engraving: v.string(),
  }),
  bar_mark: rows({ bar, mark: v.picklist(PASSAGE_STATES) }),
  paper: rows({ layout: paperLayoutSchema }),
  paper_file: rows({ number: count, file_name: text(200) }),
  paper_page: rows({
    number: count,
    media_type: v.picklist(["image/png", "image/jpeg"]),
    width: v.pipe(count, v.maxValue(20_000)),
    height: v.pipe(count, v.maxValue(20_000)),
  }),
  memory_bar: rows({ bar }),
  memory_test: rows({ from_bar: bar, to_bar: bar }),
  session_outcome: rows({
    ended: v.nullish(text(40)),
    notes: v.array(v.unknown()),
    questions: v.array(v.unknown()),
    ratings: v.record(v.picklist(RATINGS), v.picklist(RATED)),
    feeling: v.nullish(v.picklist(FEELINGS)),
    tasks: v.array(v.unknown()),
  }),
  session_block: rows({
    position: count,
    start_tempo: counted,
    end_tempo: counted,
    reached_tempo: v.nullish(counted),
    target_tempo: counted,
    plays: count,
    clean: count,
    active_seconds: seconds,
    way: text(500),
    step: v.nullish(counted),
    by_clock: v.nullish(counted),
    pace: v.nullish(keptPaceSchema),
  }),
  rep: rows({
    tempo: counted,
    verdict,
    from_bar: bar,
    to_bar: bar,
    flaw_bar: v.nullish(bar),
    flaw_what: v.nullish(v.picklist(FLAWS)),
    share,
    layer: v.nullish(text(200)),
    factor: v.nullish(v.number()),
  }),
  rep_measure: rows({
    source: v.picklist(MEASURE_SOURCES),
    bias: v.nullish(v.number()),
    spread: counted,
    ...{ met: v.nullish(count), missed: v.nullish(count), extra: v.nullish(count) },
  }),
  passed_tempo: rows({ position: count, material: text(300), tempo: counted, top: counted }),
  passage_day: rows({ level: levelSchema, most: v.nullish(counted) }),
};
