/** The kinds of sound that a take may be, told by its first bytes; undefined: it is none of them. */
export function soundKind(head: Uint8Array): string | undefined {
  const text = Buffer.from(head.subarray(0, 12)).toString("latin1");
  if (head[0] === 0x1a && head[1] === 0x45 && head[2] === 0xdf && head[3] === 0xa3) {
    return "audio/webm";
  }
  if (text.startsWith("OggS")) return "audio/ogg";
  if (text.slice(4, 8) === "ftyp") return "audio/mp4";
  return text.startsWith("RIFF") && text.slice(8, 12) === "WAVE" ? "audio/wav" : undefined;
}
