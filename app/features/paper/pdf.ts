import { getDocument, GlobalWorkerOptions, VerbosityLevel } from "pdfjs-dist";
import workerAddress from "pdfjs-dist/build/pdf.worker.min.mjs?url";

GlobalWorkerOptions.workerSrc = workerAddress;

/** A PDF in this browser, to be drawn page by page. Throws where it is damaged or locked. */
export async function openPdf(file: File) {
  const task = getDocument({
    data: new Uint8Array(await file.arrayBuffer()),
    verbosity: VerbosityLevel.ERRORS,
    isEvalSupported: false,
    useSystemFonts: true,
    // What unpacks scanned pages, put there by the build.
    wasmUrl: __PDF_FILES__,
  });
  const document_ = await task.promise;
  return {
    pages: document_.numPages,
    /** Draws a page, its longer side so many pixels. */
    draw: async (number: number, longest: number): Promise<HTMLCanvasElement> => {
      const page = await document_.getPage(number);
      const { width, height } = page.getViewport({ scale: 1 });
      const viewport = page.getViewport({ scale: longest / Math.max(width, height) });
      const canvas = document.createElement("canvas");
      canvas.width = Math.floor(viewport.width);
      canvas.height = Math.floor(viewport.height);
      await page.render({ canvas, viewport, background: "white" }).promise;
      page.cleanup();
      return canvas;
    },
    close: () => task.destroy(),
  };
}
