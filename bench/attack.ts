import { rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { EventWriter } from "~/core/session/test/event-writer";
import { Archive } from "~/server/archive/read";
import { zipOf } from "~/server/archive/write";
import { ask, FORM, formOf, opens } from "../e2e/support/plain-http";
import { FidusServer, throwAwayDirectory } from "../e2e/support/server";

// Throws what is hostile at a server of its own, bounded, and prints what came through. Judges nothing.

const ORIGIN = "https://fidus.example";
const HOST = "fidus.example";
const AT_ONCE = 200;
const TRIES = 30;

const data = await throwAwayDirectory();
const server = await FidusServer.start({
  dataDir: data.directory,
  variables: {
    ...{ FIDUS_HTTPS: "1", FIDUS_ORIGIN: ORIGIN, FIDUS_ROOMS: "open" },
    FIDUS_OPENINGS: "1000",
  },
});
const { address } = server;

const say = (what: string, value: string) => process.stdout.write(`${what.padEnd(64)} ${value}\n`);
const proxied = { host: HOST, origin: ORIGIN, "x-forwarded-proto": "https" };
const from = (client: string) => ({ ...proxied, "x-forwarded-for": client });

/** A studio with a student and a session that is being played. */
async function studio() {
  const { cookie, to } = await opens(address, { origin: ORIGIN, host: HOST, name: "Tomasz" });
  const [, home] = /^(\/studio\/[^/]+)/.exec(to)!;
  const parts = JSON.stringify([{ kind: "free", minutes: 10, text: "", passageId: null }]);
  const began = await ask(`${address}${to.replace("/pieces/new", "/today")}`, {
    method: "POST",
    headers: { ...proxied, cookie, "content-type": FORM },
    body: formOf({ parts, noVerdict: "wait" }),
  });
  return { cookie, home: home!, session: String(began.headers.location).replace(/\/stand$/, "") };
}

const victim = await studio();
const stand = new EventWriter(Date.now());

/** Sends one event of somebody who plays; milliseconds until it is acknowledged. */
async function playOn(): Promise<number> {
  stand.write(stand.events.length === 0 ? "opened" : "noted", { text: "Thumb late." });
  const begun = performance.now();
  const answer = await ask(`${address}${victim.session}/events`, {
    method: "POST",
    headers: { ...proxied, cookie: victim.cookie },
    body: JSON.stringify({ events: stand.events.slice(-1) }),
  });
  if (answer.status !== 200) throw new Error(`${answer.status} ${answer.text}`);
  return performance.now() - begun;
}

/** Plays while something goes on; how long events took. */
async function meanwhile(work: Promise<unknown>): Promise<string> {
  let over = false;
  const done = work.finally(() => (over = true));
  const took: number[] = [];
  do {
    took.push(await playOn());
    await new Promise((resolve) => setTimeout(resolve, 20));
  } while (!over);
  await done;
  const sorted = took.toSorted((a, b) => a - b);
  const ms = (at: number) => `${Math.round(sorted[Math.min(sorted.length - 1, at)]!)} ms`;
  return `${sorted.length} events, median ${ms(sorted.length >> 1)}, longest ${ms(Infinity)}`;
}

const download = async (home: string, cookie: string): Promise<Record<string, string>> => {
  const { bytes } = await ask(`${address}${home}/room.zip`, { headers: { ...proxied, cookie } });
  const file = path.join(tmpdir(), `fidus-attack-${crypto.randomUUID()}.zip`);
  await writeFile(file, bytes);
  const opened = await Archive.open(file);
  if (!opened.ok) throw new Error(opened.error);
  const found: Record<string, string> = {};
  for (const name of opened.value.names()) {
    found[name] = (await opened.value.bytes(name)).toString("utf8");
  }
  opened.value.close();
  await rm(file);
  return found;
};

async function zipped(files: Readonly<Record<string, string>>): Promise<Uint8Array> {
  const entries = async function* () {
    for (const [name, content] of Object.entries(files)) {
      yield await Promise.resolve({ name, content: [content] });
    }
  };
  return new Uint8Array(await new Response(zipOf(entries(), new Date())).arrayBuffer());
}

const ID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;
const written: Readonly<Record<string, (text: string) => string>> = {
  "ids with escapes": (text) => text.replace(ID, (id) => id.replaceAll("-", "\\u002d")),
  "ids in capitals": (text) => text.replace(ID, (id) => id.toUpperCase()),
  "ids in braces": (text) => text.replace(ID, (id) => `{${id}}`),
  "ids without hyphens": (text) => text.replace(ID, (id) => id.replaceAll("-", "")),
  "a zone that is none": (text) => text.replaceAll('"UTC"', '"No/Where"'),
  "a NUL in each name": (text) => text.replaceAll('"Tomasz"', '"To\\u0000masz"'),
};

for (let n = 0; n < 5; n++) await playOn();
const rowsOf = (files: Readonly<Record<string, string>>) =>
  Object.entries(files).filter(([name]) => /^data\/(person|studio|question|piece)/.test(name));
const whole = await download(victim.home, victim.cookie);
say(`one studio's file, tried ${Object.keys(written).length} ways on others`, "");
for (const [what, change] of Object.entries(written)) {
  const changed = Object.fromEntries(
    Object.entries(whole).map(([name, text]) => [
      name,
      name.startsWith("data/") ? change(text) : text,
    ]),
  );
  const { cookie, to } = await opens(address, { origin: ORIGIN, host: HOST });
  const answer = await ask(`${address}${to}/room.zip`, {
    method: "POST",
    headers: { ...proxied, cookie, "content-type": "application/zip" },
    body: await zipped(changed),
  });
  const is = await download(victim.home, victim.cookie);
  const touched = JSON.stringify(rowsOf(is)) !== JSON.stringify(rowsOf(whole));
  say(`  ${what}`, `${answer.status}, the other studio ${touched ? "CHANGED" : "as it was"}`);
}

const tries = (way: (n: number) => string) =>
  Promise.all(
    Array.from({ length: TRIES }, (_, n) =>
      ask(`${address}/sign-in`, {
        method: "POST",
        headers: { ...from(way(n)), "content-type": FORM },
        body: formOf({ way: "password", name: `somebody ${n}`, password: "a guess" }),
      }).then(({ status }) => status),
    ),
  );
const slowed = (all: readonly number[]) =>
  `${all.filter((s) => s === 429).length} of ${TRIES} slowed`;
say("wrong passwords from one IPv6 network", slowed(await tries((n) => `2001:db8:1:2::${n + 1}`)));
say("wrong passwords from as many networks", slowed(await tries((n) => `2001:db8:1:${n + 1}::1`)));

const flood = Promise.all(
  Array.from({ length: AT_ONCE }, (_, n) =>
    n % 2
      ? opens(address, { origin: ORIGIN, host: HOST })
      : ask(`${address}/sign-in`, {
          method: "POST",
          headers: { ...from(`192.0.2.${n}`), "content-type": FORM },
          body: formOf({ way: "password", name: `somebody ${n}`, password: "a guess" }),
        }),
  ),
);
say(`${AT_ONCE} sign-ins and openings at once; meanwhile`, await meanwhile(flood));
say(
  "  of these told to come again",
  `${(await flood).filter(({ status }) => status === 503).length}`,
);

const stranger = await ask(`${address}/sign-in`, { headers: { ...proxied, host: "evil.example" } });
say("under another host name", `${stranger.status}`);
const words = server.said.split("\n").filter((line) => /^[0-9a-f]{8} /.test(line));
say("unknown errors in the server's log", `${words.length}`);
for (const word of words.slice(0, 5)) say(`  ${word.slice(0, 100)}`, "");
await server.stop();
await data.remove();
