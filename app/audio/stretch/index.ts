export { stretched, type StretchPoint } from "./stretch";
