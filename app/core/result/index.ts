export { assert, err, ok, unreachable, type Result } from "./result";
export { sentences, speakPlainly } from "./sentences";
