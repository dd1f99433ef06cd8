import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { addDays } from "~/core/units";
import { codesOf, shorthandSchema, spelt, typedLine } from "~/core/week";
import {
  dropByHand,
  insertByHand,
  setShorthand,
  shorthandOf,
  studentById,
  studioById,
} from "~/db/queries";
import { typedForm, type FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { todayIn, type Services } from "../../services";

const LONGEST_MINUTES = 600;
const DAYS_BACK = 28;
const LONGEST_NOTE = 200;
const TOO_LONG = `Keep it under ${LONGEST_NOTE} characters.`;

const schema = typedForm(
  v.object({
    id: v.pipe(v.string(), v.uuid("The entry can't be read.")),
    minutes: v.pipe(
      v.number("How many minutes?"),
      v.integer("Whole minutes."),
      v.minValue(1, "At least 1 minute."),
      v.maxValue(LONGEST_MINUTES, `At most ${LONGEST_MINUTES} minutes.`),
    ),
    daysAgo: v.pipe(
      v.number("Which day?"),
      v.integer("Which day?"),
      v.minValue(0, "Not a day ahead."),
      v.maxValue(DAYS_BACK, `At most ${DAYS_BACK} days back.`),
    ),
    itemId: v.pipe(
      v.optional(v.string(), ""),
      v.transform((id) => (id === "" ? null : id)),
      v.nullable(v.pipe(v.string(), v.uuid())),
    ),
    /** As it was typed, codes and minutes in it. */
    note: v.pipe(v.optional(v.string(), ""), v.trim(), v.maxLength(LONGEST_NOTE, TOO_LONG)),
  }),
  ["minutes", "daysAgo"],
);

/** Practice made without Fidus. The id comes with the form: sent twice, it is one entry. */
export async function addByHand(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, schema);
  if (!read.ok) return err(read.error);
  const { id, minutes, daysAgo, itemId, note: typed } = read.value;
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  await studentById(db, studioId, personId);
  const line = typedLine(typed);
  // A number at its end that is not its minutes belongs to the note: "bars 5 to 8".
  const about = line.minutes === minutes ? line.about : typed;
  const note = spelt(about, await shorthandOf(db, studioId, personId));
  if (note.length > LONGEST_NOTE) {
    return err({ errors: { note: TOO_LONG }, values: { note: typed } });
  }
  const day = addDays(today, -daysAgo);
  await insertByHand(db, studioId, personId, { id, day, minutes, item_id: itemId, note });
  return ok(undefined);
}

/** Keeps a player's own codes, one a line. */
export async function keepShorthand(
  { db }: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const codes = String(form.get("codes") ?? "");
  const read = v.safeParse(shorthandSchema, codesOf(codes));
  if (!read.success) {
    return err({ errors: { codes: read.issues[0].message }, values: { codes } });
  }
  await studentById(db, studioId, personId);
  await setShorthand(db, studioId, personId, read.output);
  return ok(undefined);
}

const undoSchema = v.object({ id: v.pipe(v.string(), v.uuid("The entry can't be read.")) });

/** Takes back what was written down. */
export async function undoByHand(
  { db }: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, undoSchema);
  if (!read.ok) return err(read.error);
  await dropByHand(db, studioId, personId, read.value.id);
  return ok(undefined);
}
