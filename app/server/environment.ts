import { tmpdir } from "node:os";
import path from "node:path";
import * as v from "valibot";

const flag = v.pipe(
  v.optional(v.picklist(["0", "1"]), "0"),
  v.transform((value) => value === "1"),
);

/** How the room's clock runs: at real time `real` it shows `virtual`, and goes on at `rate`. */
export interface ClockSetting {
  readonly real: number;
  readonly virtual: number;
  readonly rate: number;
}

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
  /** What cookies are signed with. Default: made once and kept in the data directory. */
  FIDUS_SECRET: v.optional(
    v.pipe(v.string(), v.minLength(32, "FIDUS_SECRET has 32 characters or more.")),
  ),
  /** 1: cookies only over https, for a server behind a proxy that speaks it. */
  FIDUS_HTTPS: flag,
  /** Lets the room's clock run ahead, to try out a week in advance. */
  FIDUS_DAYS_AHEAD: v.pipe(
    v.optional(v.string(), "0"),
    v.transform(Number),
    v.integer("FIDUS_DAYS_AHEAD is a whole number."),
    v.minValue(0, "FIDUS_DAYS_AHEAD is 0–3650."),
    v.maxValue(3650, "FIDUS_DAYS_AHEAD is 0–3650."),
  ),
  /** A file with how many days more it runs ahead: what is written there counts at once. */
  FIDUS_DAYS_FILE: v.optional(v.pipe(v.string(), v.minLength(1))),
  /** For journeys on the fast clock: "real,virtual,rate", two moments in milliseconds. */
  FIDUS_CLOCK: v.pipe(
    v.optional(v.string(), "0,0,1"),
    v.regex(/^\d+,\d+,\d+$/, 'FIDUS_CLOCK is "real,virtual,rate" in whole numbers.'),
    v.transform((text): ClockSetting => {
      const [real, virtual, rate] = text.split(",").map(Number);
      return { real: real!, virtual: virtual!, rate: rate! };
    }),
  ),
});

export interface Environment {
  readonly dataDir: string;
  readonly port: number;
  readonly host: string;
  readonly demo: boolean;
  readonly secret: string | undefined;
  readonly https: boolean;
  readonly daysAhead: number;
  readonly daysFile: string | undefined;
  readonly clock: ClockSetting;
}

/** Reads the environment once, at the start; throws a sentence that names the variable. */
export function readEnvironment(root: string, variables: NodeJS.ProcessEnv): Environment {
  const read = v.safeParse(environmentSchema, variables);
  if (!read.success) throw new Error(`Environment: ${read.issues[0].message}`);
  const { FIDUS_DATA, FIDUS_PORT, FIDUS_HOST, FIDUS_DEMO, ...rest } = read.output;
  const usual = FIDUS_DEMO
    ? path.join(tmpdir(), `fidus-demo-${process.pid}`)
    : path.join(root, ".fidus");
  return {
    dataDir: path.resolve(FIDUS_DATA ?? usual),
    port: FIDUS_PORT,
    host: FIDUS_HOST,
    demo: FIDUS_DEMO,
    secret: rest.FIDUS_SECRET,
    https: rest.FIDUS_HTTPS,
    daysAhead: rest.FIDUS_DAYS_AHEAD,
    daysFile: rest.FIDUS_DAYS_FILE,
    clock: rest.FIDUS_CLOCK,
  };
}
