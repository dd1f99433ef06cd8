import * as v from "valibot";
import { IMAGE_TYPES } from "~/core/image";
import { paperLayoutSchema, type PaperLayout } from "~/core/score";
import type { Queries } from "~/db/client";
import { idRow } from "./rows";

const pageRow = v.object({ number: v.number(), width: v.number(), height: v.number() });

const paperRow = v.object({
  id: idRow,
  layout: paperLayoutSchema,
  files: v.array(v.string()),
  pages: v.array(pageRow),
});
export type StoredPaper = v.InferOutput<typeof paperRow>;

const PAPER = `paper.id, layout,
  (select coalesce(jsonb_agg(file_name order by number), '[]') from paper_file
   where paper_id = paper.id) as files,
  (select coalesce(jsonb_agg(jsonb_build_object('number', number, 'width', width, 'height', height)
     order by number), '[]') from paper_page where paper_id = paper.id) as pages`;

/** The pages of paper of a piece, without their images. */
export const paperOf = (db: Queries, studioId: string, pieceId: string) =>
  db.maybeOne(paperRow, `select ${PAPER} from paper where paper.studio_id = $1 and piece_id = $2`, [
    studioId,
    pieceId,
  ]);

/** Which piece each set of pages of a room belongs to. */
export const papersOfRoom = (db: Queries, studioId: string) =>
  db.many(
    v.object({ id: idRow, piece_id: idRow }),
    "select id, piece_id from paper where studio_id = $1",
    [studioId],
  );

/** The pages of the pieces that passages are cut from; those without any are not among them. */
export const papersOfPassages = (db: Queries, studioId: string, passageIds: readonly string[]) =>
  db.many(
    v.object({ ...paperRow.entries, passage_id: idRow, piece_id: idRow }),
    `select passage.id as passage_id, paper.piece_id, ${PAPER}
     from passage join paper using (studio_id, piece_id)
     where passage.studio_id = $1 and passage.id = any($2::uuid[])`,
    [studioId, passageIds],
  );

const OF_PIECE = `join paper on paper.id = paper_id
  where studio_id = $1 and piece_id = $2 and number = $3`;

export const pageImageOf = (db: Queries, studioId: string, pieceId: string, number: number) =>
  db.one(
    v.object({ media_type: v.picklist(IMAGE_TYPES), image: v.instance(Uint8Array) }),
    `select media_type, image from paper_page ${OF_PIECE}`,
    [studioId, pieceId, number],
  );

export const paperFileOf = (db: Queries, studioId: string, pieceId: string, number: number) =>
  db.one(
    v.object({ file_name: v.string(), original: v.instance(Uint8Array) }),
    `select file_name, original from paper_file ${OF_PIECE}`,
    [studioId, pieceId, number],
  );

/** Puts pages in the place of those that were there, as yet without systems. */
export async function replacePaper(
  db: Queries,
  studioId: string,
  given: {
    readonly id: string;
    readonly pieceId: string;
    readonly at: Date;
    readonly files: readonly { readonly name: string; readonly bytes: Uint8Array }[];
    readonly pages: readonly {
      readonly type: string;
      readonly width: number;
      readonly height: number;
      readonly bytes: Uint8Array;
    }[];
  },
): Promise<void> {
  const { id, pieceId, at, files, pages } = given;
  await db.execute("delete from paper where studio_id = $1 and piece_id = $2", [studioId, pieceId]);
  await db.execute(
    "insert into paper (id, studio_id, piece_id, layout, added_at) values ($1, $2, $3, '[]', $4)",
    [id, studioId, pieceId, at.toISOString()],
  );
  for (const [index, { name, bytes }] of files.entries()) {
    await db.execute(
      "insert into paper_file (paper_id, number, file_name, original) values ($1, $2, $3, $4)",
      [id, index + 1, name, bytes],
    );
  }
  for (const [index, { type, width, height, bytes }] of pages.entries()) {
    await db.execute(
      `insert into paper_page (paper_id, number, media_type, width, height, image)
       values ($1, $2, $3, $4, $5, $6)`,
      [id, index + 1, type, width, height, bytes],
    );
  }
}

export const setPaperLayout = (
  db: Queries,
  studioId: string,
  pieceId: string,
  layout: PaperLayout,
) =>
  db.execute("update paper set layout = $3::jsonb where studio_id = $1 and piece_id = $2", [
    studioId,
    pieceId,
    JSON.stringify(layout),
  ]);
