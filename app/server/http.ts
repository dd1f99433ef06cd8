import { randomBytes, randomUUID } from "node:crypto";
import path from "node:path";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from "express";
import { RouterContextProvider, type ServerBuild } from "react-router";
import sirv from "sirv";
import { caller, callerContext, type Door } from "./access/door";
import { networkOf } from "./access/network";
import { queueAtDoor } from "./access/queue-at-door";
import type { Backups } from "./backup/backups";
import { backupsContext, nonceContext, servicesContext } from "./context";
import type { Services } from "./services";

const SAFE_METHODS = new Set(["GET", "HEAD", "OPTIONS"]);

/** Headers that every answer carries, pages or not. */
const commonHeaders: RequestHandler = (_request, response, next) => {
  response.set({
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
    "X-Frame-Options": "DENY",
    "Permissions-Policy": "camera=(), geolocation=(), microphone=(self), midi=(self)",
  });
  next();
};

const HEALTH = "/health";
const LOOPBACK = new Set(["127.0.0.1", networkOf("::1")]);

/** Where people open one address, nobody is answered under another; only whether it is up. */
const underItsName =
  (origin: string | undefined): RequestHandler =>
  (request, response, next) => {
    const asked = request.headers.host;
    if (!origin || request.path === HEALTH || asked === new URL(origin).host) return next();
    response.status(421).type("text").send(`Fidus is at ${origin} and answers nowhere else.`);
  };

/** Anything that changes something comes from our own pages. */
const sameOriginOnly =
  (ours: string | undefined): RequestHandler =>
  (request, response, next) => {
    if (SAFE_METHODS.has(request.method)) return next();
    const { origin, host } = request.headers;
    const isOurs =
      origin && URL.canParse(origin) && (ours ? origin === ours : new URL(origin).host === host);
    if (isOurs) return next();
    response.status(403).type("text").send("This request did not come from a page of Fidus.");
  };

const MOST_BYTES = 2_000_000;
/** A file of music and the images of its pages, and what their form puts round them. */
const MOST_FILE_BYTES = 44_500_000;
/** The file of a whole room; it is laid on the disk, not into memory. */
const MOST_ROOM_BYTES = 2_000_000_000;
const TAKES_A_ROOM = /\/room\.zip$/;
const TAKES_A_FILE = /\/pieces\/(new|[0-9a-f-]{36}(\/demonstrations)?)(\.data)?$/;

const mostBytes = (path: string): number => {
  if (TAKES_A_ROOM.test(path)) return MOST_ROOM_BYTES;
  return TAKES_A_FILE.test(path) ? MOST_FILE_BYTES : MOST_BYTES;
};

/** No form and no batch of events is larger; what claims to be is not read at all. */
const smallEnough: RequestHandler = (request, response, next) => {
  const length = Number(request.headers["content-length"] ?? 0);
  const unknown = request.headers["transfer-encoding"] !== undefined;
  const most = mostBytes(request.path);
  if (!unknown && length <= most) return next();
  response.status(413).type("text").send("That is too much at once.");
};

function contentPolicy(nonce: string, development: boolean): string {
  const scripts = `'self' 'nonce-${nonce}'`;
  return [
    "default-src 'self'",
    `script-src ${scripts}${development ? " 'unsafe-eval'" : ""}`,
    `style-src-elem 'self' ${development ? "'unsafe-inline'" : `'nonce-${nonce}'`}`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "media-src 'self' blob:",
    "font-src 'self' data:",
    `connect-src 'self'${development ? " ws:" : ""}`,
    "worker-src 'self' blob:",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ].join("; ");
}

const lastResort: ErrorRequestHandler = (error, _request, response, next) => {
  if (response.headersSent) return next(error);
  const id = randomUUID().slice(0, 8);
  process.stderr.write(`${id} ${error instanceof Error ? error.stack : String(error)}\n`);
  response.status(500).type("text").send(`Something went wrong here. It is noted as ${id}.`);
};

const A_YEAR_SECONDS = 31_536_000;

export interface HttpOptions {
  readonly services: Services;
  readonly backups: Backups;
  readonly door: Door;
  readonly build: ServerBuild | (() => Promise<ServerBuild>);
  /** A proxy on this machine speaks https for us, and tells who asks. */
  readonly behindProxy?: boolean;
  /** The folder with the built client; absent in development. */
  readonly clientFolder?: string;
  /** The folder with what earlier builds served, for pages that were opened before an update. */
  readonly earlierAssets?: string;
  /** Serves client modules in development. */
  readonly development?: RequestHandler;
}

/** The web server: static files, then the pages. */
export function createHttp({
  services,
  backups,
  door,
  build,
  behindProxy = false,
  clientFolder,
  earlierAssets,
  development,
}: HttpOptions): Express {
  const app = express();
  app.disable("x-powered-by");
  if (behindProxy) app.set("trust proxy", "loopback");
  const { origin } = door;
  app.use(commonHeaders, underItsName(origin), sameOriginOnly(origin), smallEnough, compression());
  if (development) app.use(development);
  if (clientFolder) {
    const assets = path.join(clientFolder, "assets");
    const packed = { brotli: true, gzip: true, extensions: [] };
    const forever = { ...packed, immutable: true, maxAge: A_YEAR_SECONDS };
    app.use("/assets", sirv(assets, forever));
    if (earlierAssets) app.use("/assets", sirv(earlierAssets, forever));
    app.use(sirv(clientFolder, { ...packed, etag: true }));
  }
  app.use(queueAtDoor());
  const nonces = new WeakMap<object, string>();
  app.use((request, response, next) => {
    const nonce = randomBytes(16).toString("base64");
    nonces.set(request, nonce);
    response.set("Content-Security-Policy", contentPolicy(nonce, development !== undefined));
    // Whatever is not a file of the application is somebody's own: no cache on the way keeps it.
    response.set("Cache-Control", "no-store");
    next();
  });
  app.use(
    createRequestHandler({
      build,
      mode: development ? "development" : "production",
      getLoadContext(request) {
        const context = new RouterContextProvider();
        context.set(servicesContext, services);
        context.set(backupsContext, backups);
        const { cookie } = request.headers;
        const address = request.ip ?? "";
        const isHere =
          LOOPBACK.has(networkOf(request.socket.remoteAddress ?? "")) &&
          request.headers["x-forwarded-for"] === undefined;
        context.set(callerContext, caller(door, services, { cookie, address, isHere }));
        context.set(nonceContext, nonces.get(request)!);
        return context;
      },
    }),
  );
  app.use(lastResort);
  return app;
}
