/** What may be played to somebody. */
export const SOUND_KINDS = [
  "audio/webm",
  "audio/ogg",
  "audio/mp4",
  "audio/flac",
  "audio/mpeg",
  "audio/wav",
] as const;

/** What recorders of browsers write. */
export const RECORDED_KINDS: readonly string[] = [
  "audio/webm",
  "audio/ogg",
  "audio/mp4",
  "audio/wav",
];

/** The kind of a sound, told by its first bytes; undefined: it is none that Fidus knows. */
export function soundKind(head: Uint8Array): string | undefined {
  const text = Buffer.from(head.subarray(0, 12)).toString("latin1");
  if (head[0] === 0x1a && head[1] === 0x45 && head[2] === 0xdf && head[3] === 0xa3) {
    return "audio/webm";
  }
  if (text.startsWith("OggS")) return "audio/ogg";
  if (text.slice(4, 8) === "ftyp") return "audio/mp4";
  if (text.startsWith("fLaC")) return "audio/flac";
  // A tag in front, or the first frame at once: layer III of MPEG-1 or 2.
  const frame = head[0] === 0xff && (head[1]! & 0xe6) === 0xe2;
  if (text.startsWith("ID3") || frame) return "audio/mpeg";
  return text.startsWith("RIFF") && text.slice(8, 12) === "WAVE" ? "audio/wav" : undefined;
}
