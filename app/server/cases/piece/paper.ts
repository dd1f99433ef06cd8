import * as v from "valibot";
import { isPdf, readImage, type ImageRead } from "~/core/image";
import { err, ok, type Result } from "~/core/result";
import {
  barsOnPaper,
  engravedPaper,
  MOST_PAGE_PIXELS,
  MOST_PAGES,
  paperLayoutSchema,
  type Engraved,
} from "~/core/score";
import { bpm } from "~/core/units";
import {
  insertPiece,
  lastBarCut,
  pageImageOf,
  paperFileOf,
  paperOf,
  pieceById,
  pieceOfPerson,
  replacePaper,
  scoreOf,
  setPaperLayout,
  studentById,
  updatePiece,
  type StoredPaper,
} from "~/db/queries";
import type { Queries } from "~/db/client";
import type { FormRefused } from "~/forms/typed";
import type { EngravingAsked } from "../../score/engraving";
import type { Services } from "../../services";
import type { OfPiece } from "./of-piece";
import { fileRefused, sameBytes, sentFiles, titleOfFile, type SentFile } from "../room/sent-file";

/** Files as they came, and the pages drawn from them. */
export interface SentPages {
  readonly files: readonly SentFile[];
  readonly pages: readonly SentFile[];
}

const MOST_IMAGE_BYTES = 24_000_000;

/** Pages as their form sends them: the files as they came, and an image of each page. */
async function sentPages(form: FormData): Promise<Result<SentPages, FormRefused>> {
  const files = await sentFiles(form);
  if (!files.ok) return files;
  const pages = await sentFiles(form, "page", MOST_IMAGE_BYTES);
  if (!pages.ok) return fileRefused("The pages are too large, or were not drawn.");
  return ok({ files: files.value, pages: pages.value });
}

/** What the images of pages are; or why they can't be taken. Each is unpacked once, to see that it can be. */
async function readPages(
  { scores }: Pick<Services, "scores">,
  studioId: string,
  { files, pages }: SentPages,
): Promise<Result<(ImageRead & SentFile)[], FormRefused>> {
  if (files.some(({ bytes }) => !isPdf(bytes) && !readImage(bytes).ok)) {
    return fileRefused("Pages come as PDF, PNG or JPEG; this is something else.");
  }
  if (pages.length > MOST_PAGES) return fileRefused(`At most ${MOST_PAGES} pages.`);
  const read: (ImageRead & SentFile)[] = [];
  for (const page of pages) {
    const image = readImage(page.bytes);
    if (!image.ok) return fileRefused(image.error);
    if (Math.max(image.value.width, image.value.height) > MOST_PAGE_PIXELS) {
      return fileRefused(`A page is larger than ${MOST_PAGE_PIXELS} pixels.`);
    }
    if (!(await scores.picture(studioId, page.bytes))) {
      return fileRefused("The picture is damaged: it can't be opened.");
    }
    read.push({ ...image.value, ...page });
  }
  return ok(read);
}

/** A new piece read from paper; metre and tempo are typed afterwards, its bars are drawn. */
export async function pieceFromPages(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<string, FormRefused>> {
  const { db, newId } = services;
  const sent = await sentPages(form);
  if (!sent.ok) return sent;
  const pages = await readPages(services, studioId, sent.value);
  if (!pages.ok) return pages;
  const id = newId();
  await db.transaction(async (tx) => {
    await studentById(tx, studioId, personId);
    await insertPiece(tx, studioId, personId, {
      id,
      title: titleOfFile(sent.value.files[0]!),
      origin: "",
      kind: "piece",
      bars: 1,
      pickupBeats: 0,
      metres: [{ fromBar: 1, metre: { beats: 4, unit: 4 } }],
      markBpm: bpm(90),
      markUnit: "quarter",
      tempi: null,
      made: null,
    });
    const { files } = sent.value;
    const at = new Date(services.now());
    await replacePaper(tx, studioId, { id: newId(), pieceId: id, at, files, pages: pages.value });
  });
  return ok(id);
}

/** Whether files are those that the pages of a piece came from. */
async function areThere(tx: Queries, { studioId, pieceId }: OfPiece, files: readonly SentFile[]) {
  const paper = await paperOf(tx, studioId, pieceId);
  if (paper?.files.length !== files.length) return false;
  for (const [index, { bytes }] of files.entries()) {
    const { original } = await paperFileOf(tx, studioId, pieceId, index + 1);
    if (!sameBytes(original, bytes)) return false;
  }
  return true;
}

/**
 * Lays pages under a piece that is there, in the place of others. As many pages as before are
 * another picture of the same: their bars stay where they were drawn, to be moved.
 */
export async function layPages(
  services: Services,
  { studioId, personId, pieceId }: OfPiece,
  sent: SentPages,
): Promise<Result<undefined, FormRefused>> {
  const { db, newId, now } = services;
  const pages = await readPages(services, studioId, sent);
  if (!pages.ok) return pages;
  return db.transaction(async (tx) => {
    await pieceOfPerson(tx, studioId, personId, pieceId);
    if (await scoreOf(tx, studioId, pieceId)) {
      return fileRefused("This piece has its notes already; pages would lie unseen under them.");
    }
    const of = { studioId, personId, pieceId };
    if (await areThere(tx, of, sent.files)) {
      return fileRefused("These pages are there already; nothing was changed.");
    }
    const before = await paperOf(tx, studioId, pieceId);
    const given = { id: newId(), pieceId, at: new Date(now()), files: sent.files };
    await replacePaper(tx, studioId, { ...given, pages: pages.value });
    if (before?.pages.length === pages.value.length) {
      await setPaperLayout(tx, studioId, pieceId, before.layout);
    }
    return ok(undefined);
  });
}

export async function pagesFromForm(
  services: Services,
  of: OfPiece,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const sent = await sentPages(form);
  return sent.ok ? layPages(services, of, sent.value) : sent;
}

const layoutForm = v.object({
  layout: v.pipe(v.string(), v.parseJson(undefined, "The bars can't be read."), paperLayoutSchema),
});

/** Keeps the systems drawn over a piece's pages; the piece has as many bars as they have. */
export async function drawBars(
  { db }: Services,
  { studioId, personId, pieceId }: OfPiece,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = v.safeParse(layoutForm, Object.fromEntries(form));
  if (!read.success) return err({ errors: { layout: read.issues[0].message }, values: {} });
  const { layout } = read.output;
  return db.transaction(async (tx) => {
    const piece = await pieceOfPerson(tx, studioId, personId, pieceId);
    const paper = await paperOf(tx, studioId, pieceId);
    if (!paper) return refusedLayout("The pages of this piece are gone.");
    if (layout.some(({ page }) => page > paper.pages.length)) {
      return refusedLayout(`There are only ${paper.pages.length} pages.`);
    }
    const bars = barsOnPaper(layout) - (piece.pickupBeats > 0 ? 1 : 0);
    if (bars < 1) return refusedLayout("Draw a system of bars first.");
    const { last } = await lastBarCut(tx, studioId, pieceId);
    if (last > bars) {
      return refusedLayout(`These are ${bars} bars, and a passage goes to bar ${last}.`);
    }
    await setPaperLayout(tx, studioId, pieceId, layout);
    const metres = piece.metres.filter(({ fromBar }) => fromBar <= bars);
    await updatePiece(tx, studioId, { ...piece, bars, metres });
    return ok(undefined);
  });
}

const refusedLayout = (layout: string): Result<never, FormRefused> =>
  err({ errors: { layout }, values: {} });

/** What a page is told of a piece's paper; undefined without any. */
export async function paperShown({ db }: Pick<Services, "db">, of: OfPiece) {
  const paper = await paperOf(db, of.studioId, of.pieceId);
  if (!paper) return undefined;
  const { layout, files, pages } = paper;
  const addressed = pages.map((page) => ({
    ...page,
    address: pageAddress(of, paper, page.number),
  }));
  return { layout, files, pages: addressed };
}

/** Where a page's image is had, for all who may see the piece; new pages have new addresses. */
export const pageAddress = (
  { studioId, personId, pieceId }: OfPiece,
  { id }: Pick<StoredPaper, "id">,
  page: number,
): string =>
  `/studio/${studioId}/students/${personId}/pieces/${pieceId}/pages/${page}?of=${id.slice(0, 8)}`;

/** Narrower than this, in units of which a staff is 72 high, long systems are cut into two. */
const HALVED_BELOW = 1200;

/** The bars of a piece, or some of them, cut out of its pages; undefined where none are drawn. */
export async function paperEngraved(
  { db }: Pick<Services, "db">,
  of: OfPiece,
  { width, range }: Pick<EngravingAsked, "width" | "range">,
): Promise<Engraved | undefined> {
  const paper = await paperOf(db, of.studioId, of.pieceId);
  if (!paper || paper.layout.length === 0) return undefined;
  const { pickupBeats } = await pieceById(db, of.studioId, of.pieceId);
  const pages = paper.pages.map((page) => ({
    ...page,
    address: pageAddress(of, paper, page.number),
  }));
  const first = pickupBeats > 0 ? 0 : 1;
  return engravedPaper(paper.layout, pages, first, range, width < HALVED_BELOW);
}

/** The image of a page, for whoever may see the student's piece. */
export async function pageImage(
  { db }: Services,
  { studioId, personId, pieceId }: OfPiece,
  page: number,
) {
  await pieceOfPerson(db, studioId, personId, pieceId);
  return pageImageOf(db, studioId, pieceId, page);
}

export const paperFile = ({ db }: Services, studioId: string, pieceId: string, number: number) =>
  paperFileOf(db, studioId, pieceId, number);
