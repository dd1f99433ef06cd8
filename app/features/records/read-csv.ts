import { MOST_ROWS } from "~/forms/table";

const MOST_BYTES = 2_000_000;

export type CsvRead =
  { readonly rows: readonly (readonly string[])[]; readonly cut: boolean } | "too-large" | "unread";

/** Text by its first bytes, as UTF-8, or else in the letters of western Europe. */
function textOf(bytes: Uint8Array): string {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return new TextDecoder("utf-16le").decode(bytes);
  if (a === 0xfe && b === 0xff) return new TextDecoder("utf-16be").decode(bytes);
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder("windows-1252").decode(bytes);
  }
}

/** The cells of a CSV file, whatever stands between them. */
export async function readCsv(file: Blob): Promise<CsvRead> {
  if (file.size > MOST_BYTES) return "too-large";
  const text = textOf(new Uint8Array(await file.arrayBuffer()));
  if (text.includes("\0")) return "unread";
  const { default: Papa } = await import("papaparse");
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: "greedy" });
  if (data.length === 0) return "unread";
  return { rows: data.slice(0, MOST_ROWS + 1), cut: data.length > MOST_ROWS + 1 };
}
