import createVerovioModule from "verovio/wasm";
import { VerovioToolkit } from "verovio/esm";
import { barId, partsOnly } from "~/core/formats";
import { cleanDrawing } from "./drawing";
import type { Engraved } from "~/core/score";
import type { EngravingAsked } from "./engraving";

const OPTIONS = {
  inputFrom: "xml",
  breaks: "auto",
  // So low that each page holds one system, as high as that is.
  pageHeight: 100,
  adjustPageHeight: true,
  // Above it the numbers of the bars stand.
  pageMarginTop: 60,
  pageMarginBottom: 30,
  pageMarginLeft: 20,
  pageMarginRight: 20,
  header: "none",
  footer: "none",
  scale: 100,
  svgViewBox: true,
  svgRemoveXlink: true,
  smuflTextFont: "none",
  expandNever: true,
  mnumInterval: 0,
  // Our letters are wider than those it reckons with.
  lyricSize: 3.6,
  spacingStaff: 8,
};

/** A few bars fill the line where they take this share of it; of a whole piece the last line needn't. */
const FILLED_FROM = { range: 0.4, piece: 0.8 };

/** A toolkit that keeps the last music it was given, so that another width or range is quick. */
export async function openEngraver(): Promise<(asked: EngravingAsked) => Engraved> {
  const toolkit = new VerovioToolkit(await createVerovioModule());
  /** What the toolkit holds whole; a range can only be taken of the whole. */
  let loaded: string | undefined;
  return ({ source, parts, width, range }) => {
    const music = partsOnly(source, parts);
    const minLastJustification = range ? FILLED_FROM.range : FILLED_FROM.piece;
    toolkit.setOptions({ ...OPTIONS, pageWidth: width, minLastJustification });
    if (loaded !== music) {
      loaded = undefined;
      if (!toolkit.loadData(music)) throw new Error("The engraver could not read the music.");
      loaded = music;
    }
    if (range) {
      loaded = undefined;
      toolkit.select({ start: barId(range.from), end: barId(range.to) });
    }
    toolkit.redoLayout({ resetCache: true });
    const signs = new Map<string, string>();
    const systems = Array.from({ length: toolkit.getPageCount() }, (_, page) =>
      cleanDrawing(toolkit.renderToSVG(page + 1), signs),
    );
    const drawn = [...signs].map(([id, text]) => text.replace("<g>", `<g id="sign-${id}">`));
    return { signs: drawn.join(""), systems };
  };
}
