import { tmpdir } from "node:os";
import path from "node:path";
import * as v from "valibot";
import { OPENING_WAYS, type OpeningWay } from "./access/opening";

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
  /** The only address under which it is reached, for a server behind a proxy. */
  FIDUS_ORIGIN: v.optional(
    v.pipe(
      v.string(),
      v.check(
        (text) => URL.canParse(text) && /^https?:\/\//.test(text) && new URL(text).origin === text,
        "FIDUS_ORIGIN is an address without a path, such as https://fidus.example.",
      ),
    ),
  ),
  /** Who may open a studio: anyone, by an invitation (bin/invite), or nobody once there is one. */
  FIDUS_ROOMS: v.optional(v.picklist(OPENING_WAYS, `FIDUS_ROOMS is ${OPENING_WAYS.join(", ")}.`)),
  /** How many studios may be opened in an hour from one address. */
  FIDUS_OPENINGS: v.pipe(
    v.optional(v.string(), "5"),
    v.transform(Number),
    v.integer("FIDUS_OPENINGS is a whole number."),
    v.minValue(1, "FIDUS_OPENINGS is 1 or more."),
  ),
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
  readonly origin: string | undefined;
  readonly rooms: OpeningWay;
  readonly openings: number;
  readonly daysAhead: number;
  readonly daysFile: string | undefined;
  readonly clock: ClockSetting;
}

const HERE_ONLY = ["127.0.0.1", "::1", "localhost"];

/** Reads the environment once, at the start; throws a sentence that names the variable. */
export function readEnvironment(root: string, variables: NodeJS.ProcessEnv): Environment {
  const read = v.safeParse(environmentSchema, variables);
  if (!read.success) throw new Error(`Environment: ${read.issues[0].message}`);
  const { FIDUS_DATA, FIDUS_PORT, FIDUS_HOST, FIDUS_DEMO, ...rest } = read.output;
  const { FIDUS_HTTPS: https, FIDUS_ORIGIN: origin } = rest;
  if (https && origin === undefined) {
    throw new Error(
      "Environment: FIDUS_HTTPS needs FIDUS_ORIGIN, the address that people open, such as https://fidus.example.",
    );
  }
  const reachable = https || origin !== undefined || !HERE_ONLY.includes(FIDUS_HOST);
  const usual = FIDUS_DEMO
    ? path.join(tmpdir(), `fidus-demo-${process.pid}`)
    : path.join(root, ".fidus");
  return {
    dataDir: path.resolve(FIDUS_DATA ?? usual),
    port: FIDUS_PORT,
    host: FIDUS_HOST,
    demo: FIDUS_DEMO,
    secret: rest.FIDUS_SECRET,
    https,
    origin,
    // Who can reach it from elsewhere is not let in to make studios of their own by default.
    rooms: rest.FIDUS_ROOMS ?? (reachable ? "first" : "open"),
    openings: rest.FIDUS_OPENINGS,
    daysAhead: rest.FIDUS_DAYS_AHEAD,
    daysFile: rest.FIDUS_DAYS_FILE,
    clock: rest.FIDUS_CLOCK,
  };
}
