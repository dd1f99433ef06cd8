export {
  exerciseFile,
  MOST_FILE_BYTES,
  readScoreFile,
  SCORE_FORMATS,
  type ScoreFile,
} from "./score-file";
export { barId, partsOnly } from "./music-xml";
export { escapeXml } from "./xml";
export { pieceMusicXml } from "./piece-music-xml";
export type { SaidOverBar } from "./music-xml";
