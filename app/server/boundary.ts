import { randomUUID } from "node:crypto";
import { data } from "react-router";
import * as v from "valibot";
import { DatabaseError, type DatabaseErrorKind } from "~/db/client";
import type { FormRefused } from "~/forms/typed";
import { GaveUp } from "./score/work";

const uuid = v.pipe(v.string(), v.uuid());

export const notFound = (sentence: string) => data({ sentence }, { status: 404 });

/** Ids from the address; what is no id can't be found. */
export function idsOf<K extends string>(
  params: Partial<Record<K, string>>,
  ...names: K[]
): Record<K, string> {
  const ids = names.map((name) => {
    const read = v.safeParse(uuid, params[name]);
    if (!read.success) throw notFound("There is nothing at this address.");
    return [name, read.output.toLowerCase()];
  });
  return Object.fromEntries(ids) as Record<K, string>;
}

/** Failures of the database that are the request's own. */
const TOLD: Partial<Record<DatabaseErrorKind, { status: number; sentence: string }>> = {
  "not-found": { status: 404, sentence: "This isn't in your room, or it was taken away." },
  unique: { status: 409, sentence: "This is there already, somewhere else." },
  "foreign-key": { status: 409, sentence: "Part of this was removed. Reload the page." },
  "bad-value": { status: 422, sentence: "There is something in it that can't be kept." },
  check: { status: 422, sentence: "There is a number in it that can't be." },
};

/**
 * Runs what a loader or action does. A row that isn't there (or is another studio's) is a 404;
 * an unknown error is logged with an id, and the page shows that id and nothing else.
 */
export async function answering<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Response || isDataResponse(error)) throw error;
    if (error instanceof DatabaseError) {
      const told = TOLD[error.kind];
      if (told) throw data({ sentence: told.sentence }, { status: told.status });
    }
    if (error instanceof GaveUp) {
      if (error.cause !== undefined) process.stderr.write(`${error.cause}\n`);
      throw data({ sentence: error.message }, { status: error.why === "late" ? 503 : 422 });
    }
    const id = randomUUID().slice(0, 8);
    process.stderr.write(`${id} ${error instanceof Error ? error.stack : String(error)}\n`);
    throw data({ sentence: `Something went wrong here. It is noted as ${id}.` }, { status: 500 });
  }
}

const isDataResponse = (error: unknown): boolean =>
  typeof error === "object" && error !== null && "init" in error && "data" in error;

/** A form that was refused goes back with a 422, everything typed still in it. */
export const refused = (form: FormRefused, status = 422) => data(form, { status });
