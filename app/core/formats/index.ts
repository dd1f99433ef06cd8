export { MOST_FILE_BYTES, readScoreFile, SCORE_FORMATS, type ScoreFile } from "./score-file";
export { barId, partsOnly } from "./music-xml";
export { escapeXml } from "./xml";
