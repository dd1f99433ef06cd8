/** Instrument families: presets differ by what the body has to do. */
export const FAMILIES = [
  "wind",
  "bowed",
  "plucked",
  "keyboard",
  "voice",
  "percussion",
  "free",
] as const;
export type Family = (typeof FAMILIES)[number];
