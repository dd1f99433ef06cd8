import { tmpdir } from "node:os";
import path from "node:path";
import * as v from "valibot";

const flag = v.pipe(
  v.optional(v.picklist(["0", "1"]), "0"),
  v.transform((value) => value === "1"),
);

const environmentSchema = v.object({
  /** Where the data lives. Default: .fidus below the application's folder. */
  FIDUS_DATA: v.optional(v.pipe(v.string(), v.minLength(1))),
  FIDUS_PORT: v.pipe(
    v.optional(v.string(), "4180"),
    v.transform(Number),
    v.integer("FIDUS_PORT is a whole number."),
    v.minValue(0, "FIDUS_PORT is 0–65535."),
    v.maxValue(65535, "FIDUS_PORT is 0–65535."),
  ),
  FIDUS_HOST: v.optional(v.pipe(v.string(), v.minLength(1)), "127.0.0.1"),
  /** 1: fills an empty data directory with the demo music room. */
  FIDUS_DEMO: flag,
});

export interface Environment {
  readonly dataDir: string;
  readonly port: number;
  readonly host: string;
  readonly demo: boolean;
}

/** Reads the environment once, at the start; throws a sentence that names the variable. */
export function readEnvironment(root: string, variables: NodeJS.ProcessEnv): Environment {
  const read = v.safeParse(environmentSchema, variables);
  if (!read.success) throw new Error(`Environment: ${read.issues[0].message}`);
  const { FIDUS_DATA, FIDUS_PORT, FIDUS_HOST, FIDUS_DEMO } = read.output;
  const usual = FIDUS_DEMO
    ? path.join(tmpdir(), `fidus-demo-${process.pid}`)
    : path.join(root, ".fidus");
  return {
    dataDir: path.resolve(FIDUS_DATA ?? usual),
    port: FIDUS_PORT,
    host: FIDUS_HOST,
    demo: FIDUS_DEMO,
  };
}
