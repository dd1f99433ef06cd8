import * as v from "valibot";
import type { Ladder, SchoolName } from "~/core/ladder";
import { LIBRARY_KINDS } from "~/core/week";
import { sentences, err, ok, type Result } from "~/core/result";
import { DatabaseError } from "~/db/client";
import {
  keepLadder,
  keptLadders,
  libraryLines,
  libraryTotal,
  nameTaken,
  renameInLibrary,
  takeOutOfLibrary,
} from "~/db/queries";
import { libraryName, type LibraryQuery } from "~/forms/library";
import { partOf } from "~/forms/paging";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import type { Services } from "../../services";
import { ladderTextSchema } from "./ladder-text";
import { studentsToChoose } from "../people/whom";

const MOST_KEPT = 500;

export interface ToKeep {
  readonly name: string;
  readonly ladder: Ladder;
}

/** A ladder with its name, as the workshop sends it. */
export function readKept(form: FormData): Result<ToKeep, FormRefused> {
  const read = v.safeParse(v.object({ name: libraryName, ladder: ladderTextSchema }), {
    name: form.get("name"),
    ladder: form.get("ladder"),
  });
  if (read.success) return ok(read.output);
  const { name, ...rest } = sentences(read.issues);
  const [other] = Object.values(rest);
  const errors = { ...(name ? { name } : {}), ...(other ? { form: other } : {}) };
  return err({ errors, values: {} });
}

/** A page of what the room keeps; `schools` are those that the text looked for names. */
export async function libraryPage(
  { db }: Services,
  studioId: string,
  query: LibraryQuery,
  schools: readonly SchoolName[],
) {
  const filter = { find: query.find, kind: query.kind, schools };
  const [total, lines, students] = await Promise.all([
    libraryTotal(db, studioId, filter),
    libraryLines(db, studioId, filter, partOf(query)),
    studentsToChoose(db, studioId),
  ]);
  const kept = lines.map(({ keptAt, ...rest }) => ({ ...rest, keptAt: keptAt.getTime() }));
  return {
    query,
    total: total.lines,
    lines: kept,
    students,
  };
}

/** Keeps a ladder under a name, without what belongs to one passage only. */
export async function keepInLibrary(
  { db, newId, now }: Services,
  studioId: string,
  { name, ladder }: ToKeep,
): Promise<Result<string, FormRefused>> {
  const { length } = await keptLadders(db, studioId);
  if (length >= MOST_KEPT) {
    const sentence = `The library holds ${MOST_KEPT} ladders; take one out first.`;
    return err({ errors: { name: sentence }, values: {} });
  }
  const general = { ...ladder, part: null, setOn: null };
  const keptAt = new Date(now());
  await keepLadder(db, studioId, { id: newId(), name, ladder: general, keptAt });
  return ok(name);
}

const kind = v.picklist(LIBRARY_KINDS, "The library can't be read.");
const id = v.pipe(v.string(), v.uuid("The library can't be read."));

const actSchema = v.variant("intent", [
  v.object({ intent: v.literal("rename"), kind, id, name: libraryName }),
  v.object({ intent: v.literal("remove"), kind, id }),
]);

/** Gives a thing of the library another name, unless another one has it, or takes it out. */
export async function actOnLibrary(
  { db }: Services,
  studioId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, actSchema);
  if (!read.ok) return read;
  const said = read.value;
  if (said.intent === "rename" && (await nameTaken(db, studioId, said))) {
    const errors = { name: `Another one is called “${said.name}” already.` };
    return err({ errors, values: { name: said.name } });
  }
  const rows =
    said.intent === "rename"
      ? await renameInLibrary(db, studioId, said)
      : await takeOutOfLibrary(db, studioId, said);
  if (rows === 0) throw new DatabaseError("not-found", "There is nothing of that in the library.");
  return ok(undefined);
}
