export { openSound, type Sound } from "./sound";
