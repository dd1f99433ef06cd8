export {
  beatUnitSchema,
  metreAt,
  metreRegionsSchema,
  MOST_BARS,
  PIECE_KINDS,
  pieceShapeSchema,
  tempoSchema,
  usualBeatUnit,
  type MetreRegion,
  type PieceShape,
} from "./piece";
export {
  barsOf,
  PASSAGE_NOTES,
  passageRangeOf,
  rangeOf,
  type PassageNotes,
  type PassageRange,
} from "./passage";
export { PASSAGE_STATES, stateHeld, type PassageState } from "./state";
export { renamed, stagesSchema, USUAL_STAGES, type Stages, type StageWork } from "./stages";
export { pieceOfScore, shapeDifferences } from "./piece-of-score";
export { orderPlayed, orderWithin } from "./order-played";
export {
  barAt,
  firstPosition,
  scoreNotesSchema,
  scoreSchema,
  type Score,
  type ScoreBar,
  type ScoreNote,
  type ScoreNotes,
  type ScorePart,
  type TempoMark,
} from "./score";
export { difficultyOf, hardnessOf, type BarDifficulty } from "./difficulty";
export { proposePassages, type BarMarks, type Proposal } from "./proposals";
export { engravedSchema, type BarBox, type Engraved, type EngravedSystem } from "./engraved";
export {
  barsIn,
  barsOnPaper,
  engravedPaper,
  inReadingOrder,
  MOST_PAGE_PIXELS,
  MOST_PAGES,
  moved,
  nextLike,
  paperLayoutSchema,
  systemBetween,
  withBars,
  withEdge,
  withLine,
  type PaperLayout,
  type PaperPage,
  type PaperSystem,
} from "./paper";
export { printedInScore, printedOnPaper, type PrintedBegins } from "./printed";
export { changeRefused, tempoLines, type PieceTempi, type TempoPoint } from "./bar-tempi";
export {
  barsWithTempo,
  courseOfPiece,
  markOf,
  tempiOfPiece,
  tempiOfScore,
  tempoOfBars,
  withMark,
  type PassageTempo,
  type PieceWithTempi,
} from "./piece-tempi";
export {
  resolveRegions,
  type Contradiction,
  type ResolvedRegion,
  type TempoSpan,
} from "./region-links";
export {
  CHANGE_KINDS,
  LINK_KINDS,
  regionAt,
  tempiSchema,
  type RegionLink,
  type Tempi,
  type TempoChange,
  type TempoRegion,
} from "./regions";
export { aroundNotes, endMoved, startMoved, type Moment, type Within } from "./edges";
