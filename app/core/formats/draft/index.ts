export { spelled } from "./accidentals";
export {
  CLEFS,
  type Draft,
  type DraftBar,
  type DraftClef,
  type DraftEvent,
  type DraftKey,
  type DraftPart,
  type DraftPitch,
  type DraftTempo,
} from "./draft";
export { valueLasting, valuesFor } from "./values";
export { writeMusicXml } from "./write";
