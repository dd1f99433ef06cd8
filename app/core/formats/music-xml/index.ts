export { barId, forEngraving } from "./for-engraving";
export { partsOnly } from "./parts-only";
export { readMusicXml, type ReadScore } from "./score";
