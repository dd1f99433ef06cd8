export { barId, forEngraving } from "./for-engraving";
export { withSaid, type SaidOverBar } from "./said";
export { partsOnly } from "./parts-only";
export { readMusicXml, type ReadScore } from "./score";
