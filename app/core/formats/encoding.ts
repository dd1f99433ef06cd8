import { err, ok, type Result } from "~/core/result";

const DECLARED = /^\s*<\?xml[^>]*encoding\s*=\s*["']([\w.-]{1,40})["']/;

/** By its first bytes, or undefined. */
function byMark(bytes: Uint8Array): string | undefined {
  const [a, b, c, d] = bytes;
  if (a === 0xef && b === 0xbb && c === 0xbf) return "utf-8";
  if ((a === 0xff && b === 0xfe) || (a === 0x3c && b === 0 && d === 0)) return "utf-16le";
  if ((a === 0xfe && b === 0xff) || (a === 0 && b === 0x3c && c === 0)) return "utf-16be";
  return undefined;
}

/** Text in the encoding that its first bytes or its first line tell; UTF-8 otherwise. */
export function textOfFile(bytes: Uint8Array): Result<string, string> {
  const head = new TextDecoder("latin1").decode(bytes.subarray(0, 200));
  const label = byMark(bytes) ?? DECLARED.exec(head)?.[1] ?? "utf-8";
  try {
    return ok(new TextDecoder(label, { fatal: true }).decode(bytes));
  } catch {
    return err(`Its letters are not in the encoding it names (${label}).`);
  }
}
