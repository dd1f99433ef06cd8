export { readMidi } from "./midi";
