/** What may be played to somebody. */
export const SOUND_KINDS = [
  "audio/webm",
  "audio/ogg",
  "audio/mp4",
  "audio/flac",
  "audio/mpeg",
  "audio/wav",
] as const;
export type SoundKind = (typeof SOUND_KINDS)[number];

/** What recorders of browsers write. */
export const RECORDED_KINDS: readonly string[] = [
  "audio/webm",
  "audio/ogg",
  "audio/mp4",
  "audio/wav",
];
