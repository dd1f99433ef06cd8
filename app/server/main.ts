import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import type { Server } from "node:http";
import path from "node:path";
import type { RequestHandler } from "express";
import type { ServerBuild } from "react-router";
import * as v from "valibot";
import { speakPlainly } from "~/core/result";
import { openDatabase } from "~/db/client";
import { allStudios, refreshStatistics } from "~/db/queries";
import { seedDemo } from "../../demo/seed";
import { cookieSecret, signInCookie } from "./access/cookie";
import { Opening } from "./access/opening";
import { Throttle } from "./access/throttle";
import { linksForTeachers } from "./cases/people/passwords";
import { recount, type Uncounted } from "./cases/session/rebuild";
import { openLeftRooms } from "./cases/room/room-in";
import { finishDeletions } from "./cases/people/student-gone";
import { sweepTakes } from "./cases/take/takes";
import { readEnvironment, type Environment } from "./environment";
import { readRoomInThread } from "./archive/read-in-thread";
import { Backups } from "./backup/backups";
import { listenForCommands } from "./backup/control";
import { BackupFolder } from "./backup/folder";
import { keepAssets } from "./earlier-assets";
import { createHttp, type HttpOptions } from "./http";
import { printInThreads } from "./print";
import { workInThreads } from "./score/thread-work";
import type { Services } from "./services";
import { keepUp } from "./upkeep";
import { TakeFiles } from "./takes/take-files";

export { backup, invite, restore } from "./commands";

const DAY_MS = 86_400_000;

export interface StartOptions {
  /** The application's folder. */
  readonly root: string;
  readonly variables: NodeJS.ProcessEnv;
  /** Development: where pages and client modules come from. */
  readonly development?: {
    readonly middleware: RequestHandler;
    readonly build: HttpOptions["build"];
  };
}

export interface Running {
  readonly address: string;
  /** What whoever starts the server should read. */
  readonly notices: readonly string[];
  close(): Promise<void>;
}

const listening = (server: Server): Promise<void> =>
  new Promise((resolve, reject) => server.once("listening", resolve).once("error", reject));

const LAST_WORDS_MS = 500;
const KEPT_ALIVE_MS = 65_000;
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

const tellFault = (error: unknown): void =>
  void process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);

/** What somebody must say anew who has let anyone open a studio until now. */
const ROOMS_UNSAID =
  "Others can reach this server, so nobody opens a second studio on it. Set FIDUS_ROOMS to invited (then use bin/invite) or to open to let others in.";

/** Without its database a server only keeps people waiting: it says why, and ends. */
function leave(why: string): void {
  process.stderr.write(`${why} Fidus ends; start it again, what was acknowledged is there.\n`);
  // Long enough for those who ask at this moment to be told.
  setTimeout(() => process.exit(1), LAST_WORDS_MS);
}

const daysIn = (file: string): number =>
  v.parse(v.pipe(v.string(), v.toNumber(), v.integer()), readFileSync(file, "utf8"));

/** The room's clock, in milliseconds since 1970. */
const clockOf =
  ({ daysAhead, daysFile, clock }: Pick<Environment, "daysAhead" | "daysFile" | "clock">) =>
  () => {
    const days = daysAhead + (daysFile === undefined ? 0 : daysIn(daysFile));
    return clock.virtual + (Date.now() - clock.real) * clock.rate + days * DAY_MS;
  };

/** Tells on the terminal how far counting again has come, at each tenth of the way. */
function tellEachTenth() {
  let told = -1;
  return (done: number, of: number) => {
    const tenth = Math.floor((10 * done) / of);
    if (tenth === told) return;
    told = tenth;
    process.stdout.write(`Counting again what was played: ${done} of ${of}\n`);
  };
}

/** Tells which rooms stay shut since they can't be counted. */
function tellShut(rooms: readonly Uncounted[]): void {
  for (const { name, studioId, error } of rooms) {
    process.stderr.write(`The studio “${name}” (${studioId}) can't be counted and stays shut:\n`);
    tellFault(error);
  }
}

/** Counts everything again from the events alone, and ends; nothing else may have the data open. */
export async function rebuild({ root, variables }: StartOptions): Promise<void> {
  const { dataDir } = readEnvironment(root, variables);
  const db = await openDatabase(root, dataDir, leave);
  try {
    tellShut(await recount({ db }, tellEachTenth(), true));
  } finally {
    await db.close();
  }
}

/** Opens the data, fills the demo when asked to, and listens. */
export async function start({ root, variables, development }: StartOptions): Promise<Running> {
  speakPlainly();
  const environment = readEnvironment(root, variables);
  const { dataDir, host, port, demo, secret, https, origin, ...time } = environment;
  const db = await openDatabase(root, dataDir, leave);
  const now = clockOf(time);
  const scores = workInThreads(path.join(root, "build/threads/score.js"));
  const takes = new TakeFiles(path.join(dataDir, "takes"));
  const readRoom = readRoomInThread(path.join(root, "build/threads/room.js"));
  const print = printInThreads(path.join(root, "build/threads/print.js"));
  const services: Services = { db, now, newId: randomUUID, scores, readRoom, print, takes };
  try {
    if (demo && (await allStudios(db)).length === 0) await seedDemo(services, root);
    await openLeftRooms(services);
    await finishDeletions(services);
    tellShut(await recount(services, tellEachTenth()));
    await refreshStatistics(db);
    await sweepTakes(services);
    const opening = new Opening(environment.rooms, dataDir, environment.openings, Date.now);
    await opening.sweep();
    const folder = new BackupFolder(environment.backups.folder);
    const settings = { ...environment.backups, db, dataDir, folder, now: Date.now };
    const backups = new Backups(settings);
    const rest = keepUp(
      [
        {
          everyMs: HOUR_MS,
          work: () =>
            Promise.all([sweepTakes(services), opening.sweep(), finishDeletions(services)]),
        },
        // Rooms whose reading was cut off are opened again.
        { everyMs: MINUTE_MS, work: () => openLeftRooms(services) },
        { everyMs: MINUTE_MS, work: () => backups.settle() },
        { everyMs: 10 * MINUTE_MS, work: () => backups.takeIfDue() },
      ],
      tellFault,
    );
    const deaf = await listenForCommands(dataDir, () => backups.take());
    const client = path.join(root, "build/client");
    const earlierAssets = path.join(dataDir, "assets");
    if (!development) {
      await keepAssets(path.join(client, "assets"), earlierAssets, new Date());
    }
    const cookie = signInCookie(await cookieSecret(dataDir, secret), https);
    const app = createHttp({
      services,
      backups,
      behindProxy: https,
      door: { cookie, throttle: new Throttle(Date.now), opening, origin, demo },
      ...(development
        ? { build: development.build, development: development.middleware }
        : {
            // The module is a ServerBuild; only its optional keys are typed more loosely.
            build: () =>
              import("virtual:react-router/server-build") as unknown as Promise<ServerBuild>,
            clientFolder: client,
            earlierAssets,
          }),
    });
    const server = app.listen(port, host);
    // Longer than a proxy or a browser keeps a connection: ended by us, it may just be in use again.
    server.keepAliveTimeout = KEPT_ALIVE_MS;
    await listening(server);
    const bound = server.address();
    const actual = bound && typeof bound === "object" ? bound.port : port;
    const address = `http://${host}:${actual}`;
    const links = await linksForTeachers(services);
    return {
      address,
      notices: [
        ...(environment.roomsUnsaid ? [ROOMS_UNSAID] : []),
        ...links.map(({ name, path: way }) => `${name} sets a password at ${address}${way}`),
      ],
      async close() {
        rest();
        server.closeAllConnections();
        await new Promise((resolve) => server.close(resolve));
        await deaf();
        await Promise.all([db.close(), scores.close()]);
      },
    };
  } catch (error) {
    await db.close();
    throw error;
  }
}
