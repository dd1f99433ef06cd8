import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { memoryStanding } from "~/core/week";
import type { Day } from "~/core/units";
import { markMemory, memoryOf, pieceOfPerson, putMemory, studioById } from "~/db/queries";
import { memoryFormSchema } from "~/forms/memory";
import { typedForm, type FormRefused } from "~/forms/typed";
import { readForm } from "../form";
import { todayIn, type Services } from "../services";

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
});

/** What is being learnt by heart of a piece, if anything. */
export async function memoryOfPiece(
  { db }: Services,
  studioId: string,
  personId: string,
  pieceId: string,
  today: Day,
) {
  const found = (await memoryOf(db, studioId, personId)).find((row) => row.piece_id === pieceId);
  return found && memoryLine(found, today);
}

/** Sets the plan of a piece, refusing a concert that lies before today. */
export async function planMemory(
  services: Services,
  { studioId, personId, pieceId }: Readonly<Record<"studioId" | "personId" | "pieceId", string>>,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const { db } = services;
  const read = readForm(form, memoryFormSchema);
  if (!read.ok) return read;
  const today = todayIn(services, await studioById(db, studioId));
  if (read.value.concert < today) {
    const values = Object.fromEntries([...form].map(([key, value]) => [key, String(value)]));
    return err({ errors: { concert: "That day is over. Choose one ahead." }, values });
  }
  await pieceOfPerson(db, studioId, personId, pieceId);
  await putMemory(db, studioId, personId, { pieceId, plan: read.value, day: today });
  return ok(undefined);
}

const markSchema = typedForm(
  v.object({
    pieceId: v.pipe(v.string(), v.uuid()),
    stands: v.pipe(
      v.number("How many stand by heart?"),
      v.integer("Whole bars or pages."),
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
