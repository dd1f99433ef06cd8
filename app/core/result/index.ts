export { assert, err, ok, unreachable, type Result } from "./result";
export { sentences } from "./sentences";
