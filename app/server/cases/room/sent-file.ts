import { MOST_FILE_BYTES } from "~/core/formats";
import { err, ok, type Result } from "~/core/result";
import type { FormRefused } from "~/forms/typed";

const LONGEST_NAME = 200;

export interface SentFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** A sentence at the form's field of files. */
export const fileRefused = (file: string): Result<never, FormRefused> =>
  err({ errors: { file }, values: {} });

/** The files that a form sends under a name; together no larger than a file may be. */
export async function sentFiles(
  form: FormData,
  name = "file",
  most = MOST_FILE_BYTES,
): Promise<Result<readonly SentFile[], FormRefused>> {
  const files = form.getAll(name).filter((each) => each instanceof File);
  const given = files.filter((each) => each.size > 0 || each.name !== "");
  if (given.length === 0) return fileRefused("Choose a file first.");
  if (given.some(({ size }) => size === 0)) return fileRefused("The file is empty.");
  const size = given.reduce((sum, each) => sum + each.size, 0);
  if (size > most) return fileRefused(`The file is larger than ${Math.round(most / 1e6)} MB.`);
  return ok(
    await Promise.all(
      given.map(async (file) => ({
        name: nameOfFile(file.name),
        bytes: new Uint8Array(await file.arrayBuffer()),
      })),
    ),
  );
}

const nameOfFile = (name: string): string =>
  name.toWellFormed().replaceAll("\0", "").slice(-LONGEST_NAME) || "score";

/** "The_Ferry.musicxml" as a title: "The Ferry". */
export const titleOfFile = ({ name }: SentFile): string =>
  name
    .replace(/\.\w{1,8}$/, "")
    .replace(/[_-]+/g, " ")
    .trim() || name;

export const sameBytes = (one: Uint8Array, other: Uint8Array): boolean =>
  one.length === other.length && one.every((byte, at) => byte === other[at]);
