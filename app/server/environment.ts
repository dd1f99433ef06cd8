import { tmpdir } from "node:os";
import path from "node:path";
import * as v from "valibot";
import { OPENING_WAYS, type OpeningWay } from "./access/opening";

const flag = v.pipe(
  v.optional(v.picklist(["0", "1"]), "0"),
  v.transform((value) => value === "1"),
);

/** A whole number between two, with what is taken without one. */
const whole = (name: string, usual: string, least: number, most: number) =>
  v.pipe(
    v.optional(v.string(), usual),
    v.transform(Number),
    v.integer(`${name} is a whole number.`),
    v.minValue(least, `${name} is ${least}–${most}.`),
    v.maxValue(most, `${name} is ${least}–${most}.`),
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
  FIDUS_PORT: whole("FIDUS_PORT", "4180", 0, 65535),
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
  FIDUS_OPENINGS: whole("FIDUS_OPENINGS", "5", 1, 1_000_000),
  /** Where backups lie. Default: "backups" in the data directory. */
  FIDUS_BACKUPS: v.optional(v.pipe(v.string(), v.minLength(1))),
  /** Hours between two backups that are taken by themselves; 0: none is. */
  FIDUS_BACKUP_HOURS: whole("FIDUS_BACKUP_HOURS", "24", 0, 8760),
  /** How many backups are kept. */
  FIDUS_BACKUPS_KEPT: whole("FIDUS_BACKUPS_KEPT", "7", 1, 1000),
  /** Lets the room's clock run ahead, to try out a week in advance. */
  FIDUS_DAYS_AHEAD: whole("FIDUS_DAYS_AHEAD", "0", 0, 3650),
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
  /** Nobody said who may open a studio, and others can reach this server. */
  readonly roomsUnsaid: boolean;
  readonly openings: number;
  readonly backups: {
    readonly folder: string;
    readonly everyHours: number;
    readonly keep: number;
  };
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
  const dataDir = path.resolve(FIDUS_DATA ?? usual);
  return {
    dataDir,
    port: FIDUS_PORT,
    host: FIDUS_HOST,
    demo: FIDUS_DEMO,
    secret: rest.FIDUS_SECRET,
    https,
    origin,
    // Who can reach it from elsewhere is not let in to make studios of their own by default.
    rooms: rest.FIDUS_ROOMS ?? (reachable ? "first" : "open"),
    roomsUnsaid: reachable && rest.FIDUS_ROOMS === undefined,
    openings: rest.FIDUS_OPENINGS,
    backups: {
      folder: path.resolve(rest.FIDUS_BACKUPS ?? path.join(dataDir, "backups")),
      // A demo is thrown away.
      everyHours: FIDUS_DEMO ? 0 : rest.FIDUS_BACKUP_HOURS,
      keep: rest.FIDUS_BACKUPS_KEPT,
    },
    daysAhead: rest.FIDUS_DAYS_AHEAD,
    daysFile: rest.FIDUS_DAYS_FILE,
    clock: rest.FIDUS_CLOCK,
  };
}
