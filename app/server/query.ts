import { data } from "react-router";
import * as v from "valibot";
import { sentences } from "~/core/result";

/** Reads what an address asks for after its "?"; a 400 with a sentence when it can't be. */
export function readQuery<S extends v.GenericSchema>(
  request: Request,
  schema: S,
): v.InferOutput<S> {
  const read = v.safeParse(schema, Object.fromEntries(new URL(request.url).searchParams));
  if (read.success) return read.output;
  throw data({ sentence: Object.values(sentences(read.issues))[0]! }, { status: 400 });
}
