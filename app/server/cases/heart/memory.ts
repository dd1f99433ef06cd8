import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { chanceByHeart, memoryStanding, standingUnits } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import {
  markMemory,
  memoryOf,
  pieceOfPerson,
  putMemory,
  standingBars,
  studioById,
} from "~/db/queries";
import { memoryFormSchema } from "~/forms/memory";
import { typedForm, type FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { todayIn, type Services } from "../../services";
import type { OfPiece } from "../piece/of-piece";

type MemoryRow = Awaited<ReturnType<typeof memoryOf>>[number];

/** Learning by heart, told for a day. */
export const memoryLine = (
  { piece_id, title, plan, stands, stands_on, by_bars }: MemoryRow,
  today: Day,
) => ({
  pieceId: piece_id,
  title,
  plan,
  stands,
  standsOn: stands_on,
  byBars: by_bars,
  ...memoryStanding(plan, stands, today),
  chance: chanceByHeart(plan, stands, today) ?? null,
});

/** What is being learnt by heart of a piece, if anything. */
export async function memoryOfPiece(
  { db }: Services,
  studioId: string,
  personId: string,
  pieceId: string,
  today: Day,
) {
  const found = (await memoryOf(db, studioId, personId)).find(isOf(pieceId));
  return found && memoryLine(found, today);
}

/** Sets the plan of a piece, refusing a concert that lies before today. */
export async function planMemory(
  services: Services,
  of: OfPiece,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const { db } = services;
  const { studioId, personId, pieceId } = of;
  const read = readForm(form, memoryFormSchema);
  if (!read.ok) return read;
  const today = todayIn(services, await studioById(db, studioId));
  const refuse = (errors: Readonly<Record<string, string>>) =>
    err({
      errors,
      values: Object.fromEntries([...form].map(([key, value]) => [key, String(value)])),
    });
  const plan = read.value;
  if (plan.concert < today) return refuse({ concert: "That day is over. Choose one ahead." });
  const { bars } = await pieceOfPerson(db, studioId, personId, pieceId);
  if ((plan.begins?.at(-1) ?? 1) > bars) return refuse({ begins: `The piece has ${bars} bars.` });
  await db.transaction(async (tx) => {
    await putMemory(tx, studioId, personId, { pieceId, plan, day: today });
    const [row] = (await memoryOf(tx, studioId, personId)).filter(isOf(pieceId));
    if (row?.by_bars) await countStanding(tx, of, today);
  });
  return ok(undefined);
}

const isOf =
  (pieceId: string) =>
  ({ piece_id }: { readonly piece_id: string }): boolean =>
    piece_id === pieceId;

/** Puts into a piece's plan how much of it stands, as its bars tell. */
export async function countStanding(db: Queries, of: OfPiece, day: Day): Promise<void> {
  const { studioId, personId, pieceId } = of;
  const row = (await memoryOf(db, studioId, personId)).find(isOf(pieceId));
  if (!row) return;
  const { bars } = await pieceOfPerson(db, studioId, personId, pieceId);
  const standing = (await standingBars(db, studioId, personId)).filter(isOf(pieceId));
  const stands = standingUnits(
    row.plan,
    standing.map(({ bar }) => bar),
    bars,
  );
  await markMemory(db, studioId, personId, { pieceId, stands, day });
}

const markSchema = typedForm(
  v.object({
    pieceId: v.pipe(v.string(), v.uuid()),
    stands: v.pipe(
      v.number("How many stand by heart?"),
      v.integer("Whole bars, lines or pages."),
      v.minValue(0, "Not below 0."),
      v.maxValue(5000, "At most 5,000."),
    ),
  }),
  ["stands"],
);

/** How many stand by heart today. */
export async function markStands(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, markSchema);
  if (!read.ok) return read;
  const day = todayIn(services, await studioById(services.db, studioId));
  await markMemory(services.db, studioId, personId, { ...read.value, day });
  return ok(undefined);
}
