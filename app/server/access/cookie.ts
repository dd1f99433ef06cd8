import { randomBytes } from "node:crypto";
import { readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import { createCookie, type Cookie } from "react-router";
import * as v from "valibot";

const DAYS = 90;
const SECRET_BYTES = 32;
const SHORTEST_SECRET = 32;

/** The secret that signs cookies: given, or made once and kept beside the data, for us alone. */
export async function cookieSecret(dataDir: string, given: string | undefined): Promise<string> {
  if (given) return given;
  const file = path.join(dataDir, "secret");
  const kept = await readFile(file, "utf8").catch(() => undefined);
  if (kept === undefined) {
    const made = randomBytes(SECRET_BYTES).toString("base64url");
    await writeFile(file, made, { mode: 0o600, flag: "wx" });
    return made;
  }
  const secret = kept.trim();
  if (secret.length < SHORTEST_SECRET) {
    throw new Error(
      `The file ${file} signs everybody in and holds ${secret.length} characters; ${SHORTEST_SECRET} are the least. Take it away to have a new one made: everyone then signs in again.`,
    );
  }
  return secret;
}

/** The cookie of a sign-in: signed, out of reach of scripts, never sent along from other sites. */
export const signInCookie = (secret: string, https: boolean): Cookie =>
  createCookie("fidus", {
    secrets: [secret],
    httpOnly: true,
    sameSite: "lax",
    path: "/",
    secure: https,
    maxAge: DAYS * 24 * 3600,
  });

const idSchema = v.pipe(v.string(), v.uuid());

/** The sign-in that a cookie names; a forged or broken cookie names none. */
export async function signInIdOf(
  cookie: Cookie,
  header: string | null,
): Promise<string | undefined> {
  const read = v.safeParse(idSchema, await cookie.parse(header));
  return read.success ? read.output : undefined;
}
