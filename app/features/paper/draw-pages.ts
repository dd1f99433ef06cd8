import { readImage } from "~/core/image";
import { err, ok, type Result } from "~/core/result";
import { MOST_PAGE_PIXELS, MOST_PAGES } from "~/core/score";
import { notationWords } from "~/words/notation";

/** A picture larger than this is not unpacked. */
const MOST_PIXELS = 60_000_000;
/** Above this a page is kept as a photograph, not as a drawing. */
const MOST_PNG_BYTES = 500_000;

const { pages: words } = notationWords;

const isPdf = ({ type, name }: File): boolean =>
  type === "application/pdf" || name.toLowerCase().endsWith(".pdf");

async function imageOf(canvas: HTMLCanvasElement): Promise<Blob> {
  const as = (type: string) =>
    new Promise<Blob>((done, failed) =>
      canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error(type))), type, 0.85),
    );
  const drawing = await as("image/png");
  return drawing.size <= MOST_PNG_BYTES ? drawing : as("image/jpeg");
}

/** A white sheet of some size, at most as large as a page may be. */
function sheet(width: number, height: number) {
  const scale = Math.min(1, MOST_PAGE_PIXELS / Math.max(width, height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.floor(width * scale));
  canvas.height = Math.max(1, Math.floor(height * scale));
  const context = canvas.getContext("2d")!;
  context.fillStyle = "white";
  context.fillRect(0, 0, canvas.width, canvas.height);
  return { canvas, context };
}

async function drawPicture(file: File): Promise<Result<Blob, string>> {
  const read = readImage(new Uint8Array(await file.arrayBuffer()));
  if (!read.ok) return err(words.noPicture(file.name));
  if (read.value.width * read.value.height > MOST_PIXELS) return err(words.tooLarge(file.name));
  const picture = await createImageBitmap(file);
  const { canvas, context } = sheet(picture.width, picture.height);
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return ok(await imageOf(canvas));
}

/** Draws the pages of files, in their order, each as one image; tells which page it is at. */
export async function drawPages(
  files: readonly File[],
  onPage: (page: number) => void,
): Promise<Result<Blob[], string>> {
  const pages: Blob[] = [];
  for (const file of files) {
    try {
      if (isPdf(file)) {
        const { openPdf } = await import("./pdf");
        const pdf = await openPdf(file);
        if (pages.length + pdf.pages > MOST_PAGES) return err(words.tooMany(pdf.pages));
        for (let page = 1; page <= pdf.pages; page++) {
          onPage(pages.length + 1);
          pages.push(await imageOf(await pdf.draw(page, MOST_PAGE_PIXELS)));
        }
        await pdf.close();
      } else {
        onPage(pages.length + 1);
        const drawn = await drawPicture(file);
        if (!drawn.ok) return drawn;
        pages.push(drawn.value);
      }
    } catch {
      return err(words.damaged(file.name));
    }
  }
  return pages.length > MOST_PAGES ? err(words.tooMany(pages.length)) : ok(pages);
}
