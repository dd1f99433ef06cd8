import { createRequire } from "node:module";
import type PDFDocument from "pdfkit";

/** Points. */
const TEXT = 12.5;

const resolve = createRequire(import.meta.url).resolve;
const face = (subset: "latin" | "latin-ext", weight: 400 | 700) =>
  resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`,
  );

export type Doc = InstanceType<typeof PDFDocument>;
interface TextOptions {
  readonly width: number;
  readonly bold?: boolean;
  readonly size?: number;
}

/** Beyond Latin-1 the letters come from the font's second file. */
const EXTENDED = /[\u0100-\u02ff\u1e00-\u1eff]+/;

/** Text in runs, each in the file that has its letters; the fonts are embedded. */
export function write(
  doc: Doc,
  text: string,
  { width, bold = false, size = TEXT }: TextOptions,
): void {
  const runs = text.split(/([\u0100-\u02ff\u1e00-\u1eff]+)/).filter((run) => run !== "");
  runs.forEach((run, i) => {
    const family = EXTENDED.test(run) ? "extended" : "latin";
    doc.font(`${family}-${bold ? "bold" : "plain"}`).fontSize(size);
    doc.text(run, { width, continued: i < runs.length - 1 });
  });
}

/** Gives a document its fonts; what is written into it until it ends. */
export function written(doc: Doc): Promise<Buffer> {
  for (const weight of [400, 700] as const) {
    const name = weight === 700 ? "bold" : "plain";
    doc.registerFont(`latin-${name}`, face("latin", weight));
    doc.registerFont(`extended-${name}`, face("latin-ext", weight));
  }
  const chunks: Buffer[] = [];
  return new Promise<Buffer>((done, failed) => {
    doc.on("data", (chunk: Buffer) => chunks.push(chunk));
    doc.on("end", () => done(Buffer.concat(chunks)));
    doc.on("error", failed);
  });
}
