import { execFile } from "node:child_process";
import { promisify } from "node:util";
import { test as base } from "@playwright/test";
import { EventWriter } from "~/core/session/test/event-writer";
import { expect } from "./support/fixtures";
import { FidusServer, throwAwayDirectory } from "./support/server";
import { ask, FORM, formOf, opens, type Asked } from "./support/plain-http";

const run = promisify(execFile);

const test = base.extend<{
  starts: (variables?: Record<string, string>, dataDir?: string) => Promise<FidusServer>;
  dataDir: string;
}>({
  // Playwright reads the names of the first argument.
  // eslint-disable-next-line no-empty-pattern
  dataDir: async ({}, provide) => {
    const { directory, remove } = await throwAwayDirectory();
    await provide(directory);
    await remove();
  },
  starts: async ({ dataDir }, provide) => {
    const running: FidusServer[] = [];
    await provide(async (variables = {}, directory = dataDir) => {
      const server = await FidusServer.start({ dataDir: directory, variables });
      running.push(server);
      return server;
    });
    for (const server of running) await server.stop();
  },
});

test("behind a proxy only the named origin is answered, and links carry it", async ({ starts }) => {
  const origin = "https://fidus.example";
  const host = "fidus.example";
  const { address } = await starts({ FIDUS_HTTPS: "1", FIDUS_ORIGIN: origin });
  for (const strange of ["evil.example", "127.0.0.1", "fidus.example.evil"]) {
    const seen = await ask(`${address}/sign-in`, { headers: { host: strange } });
    expect([seen.status, seen.text]).toEqual([421, expect.stringContaining(origin)]);
    expect(seen.text).not.toContain(strange === "127.0.0.1" ? "<html" : strange);
  }
  expect((await ask(`${address}/sign-in`, { headers: { host } })).status).toBe(200);
  // A stranger is told only whether it is up; whoever runs it, how old the newest backup is.
  const forwarded = { host: "evil.example", "x-forwarded-for": "192.0.2.1" };
  expect((await ask(`${address}/health`, { headers: forwarded })).text).toBe("ok\n");
  expect((await ask(`${address}/health`)).text).toContain("backup: none");

  const opened = await opens(address, { origin, host, name: "Tomasz" });
  expect(opened.status).toBe(302);
  const home = opened.to.replace("/pieces/new", "");
  const proxied = { host, origin, "x-forwarded-proto": "https" };
  const headers = { ...proxied, cookie: opened.cookie, "content-type": FORM };
  const link = await ask(`${address}${home}/access`, {
    method: "POST",
    headers,
    body: formOf({ act: "link" }),
  });
  expect(link.text).toContain(`${origin}/in/`);
  // Whatever host a proxy or a stranger says besides.
  const lied = await ask(`${address}${home}/access`, {
    ...{ method: "POST", body: formOf({ act: "link" }) },
    headers: { ...headers, "x-forwarded-host": "evil.example" },
  });
  expect([lied.status, lied.text]).toEqual([400, "Bad Request"]);
  expect((await opens(address, { origin: address, host })).status).toBe(403);
});

test("https without a name for people to open does not start, and says so", async ({ starts }) => {
  await expect(starts({ FIDUS_HTTPS: "1" })).rejects.toThrow(/FIDUS_HTTPS needs FIDUS_ORIGIN/);
});

test("who may open a studio: the first and nobody after, or whoever is invited, once", async ({
  starts,
  dataDir,
}) => {
  const first = await starts({ FIDUS_ROOMS: "first" });
  const both = await Promise.all([opens(first.address), opens(first.address)]);
  expect(both.map(({ status }) => status).toSorted()).toEqual([302, 403]);
  expect((await ask(`${first.address}/open`)).text).toContain("has its studio already");
  await first.stop();

  const invited = await starts({ FIDUS_ROOMS: "invited" });
  expect((await opens(invited.address)).status).toBe(403);
  const { stdout } = await run("bin/invite", [], {
    env: { ...process.env, FIDUS_DATA: dataDir, FIDUS_PORT: String(invited.port) },
  });
  const { search } = new URL(stdout.trim());
  expect((await ask(`${invited.address}/open${search}`)).text).toContain("Password");
  const three = await Promise.all([1, 2, 3].map(() => opens(invited.address, { query: search })));
  expect(three.map(({ status }) => status).toSorted()).toEqual([302, 403, 403]);
  expect((await opens(invited.address, { query: "?invitation=../../secret" })).status).toBe(403);
});

test("so many studios in an hour from one address, and no more", async ({ starts }) => {
  const { address } = await starts({ FIDUS_OPENINGS: "3" });
  const all = [];
  for (let n = 0; n < 5; n++) all.push((await opens(address)).status);
  expect(all).toEqual([302, 302, 302, 429, 429]);
});

test("bodies that can't be read and ways of asking that aren't known are refused with a sentence", async ({
  starts,
}) => {
  const server = await starts();
  const { address } = server;
  const { cookie, to } = await opens(address, { name: "Tomasz" });
  const [, studio] = /^(\/studio\/[^/]+)/.exec(to)!;
  const home = to.replace("/pieces/new", "");
  const paths = [
    ...["/open", "/sign-in", "/sign-out", `${studio}/room`, `${studio}/table`, `${studio}?index`],
    ...[
      `${studio}/students/new`,
      `${studio}/students/many`,
      `${studio}/library`,
      `${studio}/report`,
    ],
    ...[
      `${home}/today`,
      `${home}/lesson`,
      `${home}/lesson/typed`,
      `${home}/times`,
      `${home}/access`,
    ],
    ...[
      `${home}/records`,
      `${home}/week`,
      `${home}/pieces/new`,
      `${home}/exercise`,
      `${studio}/groups`,
    ],
  ];
  const origin = address;
  const multipart = "multipart/form-data; boundary=x";
  const tries: readonly (readonly [number[], Asked])[] = [
    [[415], { method: "POST", headers: { "content-type": "application/json" }, body: "{}" }],
    [[415], { method: "POST", headers: {} }],
    [[400], { method: "POST", headers: { "content-type": multipart }, body: "--x\r\ncut" }],
    [[405], { method: "DELETE", headers: { "content-type": FORM }, body: "a=b" }],
    [[405], { method: "PUT", headers: { "content-type": FORM }, body: "a=b" }],
  ];
  for (const path of paths) {
    for (const [statuses, { headers, ...how }] of tries) {
      const asked = { ...how, headers: { ...headers, origin, cookie } };
      const answer = await ask(`${address}${path}`, asked);
      expect([path, how.method, statuses.includes(answer.status), answer.status]).toEqual([
        ...[path, how.method, true, answer.status],
      ]);
    }
  }
  expect(server.said).toBe("");
});

test("a backup while ten stands play: restored elsewhere, everything acknowledged before is there", async ({
  starts,
  dataDir,
}) => {
  test.setTimeout(120_000);
  const server = await starts({ FIDUS_OPENINGS: "100" });
  const { address } = server;
  const stands = await Promise.all(
    Array.from({ length: 10 }, async () => {
      const { cookie, to } = await opens(address, { name: "Tomasz" });
      const [, studio] = /^(\/studio\/[^/]+)/.exec(to)!;
      const home = to.replace("/pieces/new", "");
      const headers = { origin: address, cookie, "content-type": FORM };
      const parts = JSON.stringify([{ kind: "free", minutes: 10, text: "", passageId: null }]);
      const began = await ask(`${address}${home}/today`, {
        ...{ method: "POST", headers },
        body: formOf({ parts, noVerdict: "wait" }),
      });
      expect(began.status, began.text).toBe(302);
      const session = String(began.headers.location).replace(/\/stand$/, "");
      return { cookie, studio, session };
    }),
  );
  const acknowledged = new Map<string, string>();
  let playing = true;
  const plays = stands.map(async ({ cookie, session }) => {
    const stand = new EventWriter(Date.now());
    stand.write("opened");
    for (let from = 0; playing; from = stand.events.length) {
      if (from > 0) stand.write("noted", { text: "Thumb late." });
      const events = stand.events.slice(from);
      const answer = await ask(`${address}${session}/events`, {
        ...{ method: "POST", headers: { origin: address, cookie } },
        body: JSON.stringify({ events }),
      });
      if (answer.status === 200) for (const { id } of events) acknowledged.set(id, session);
    }
  });
  while (acknowledged.size < 100) await new Promise((resolve) => setTimeout(resolve, 20));
  const before = [...acknowledged];
  const env = { ...process.env, FIDUS_DATA: dataDir };
  const { stdout: taken } = await run("bin/backup", [], { env });
  expect(taken).toMatch(/^Backup \S+ taken; writes waited \d+ ms/);
  playing = false;
  await Promise.all(plays);
  await server.stop();

  const elsewhere = await throwAwayDirectory();
  const there = { ...env, FIDUS_DATA: elsewhere.directory, FIDUS_BACKUPS: `${dataDir}/backups` };
  const { stdout: restored } = await run("bin/restore", [], { env: there });
  expect(restored).toMatch(/^Restored \S+: 10 studios, 20 people, \d+ sessions/);
  const again = await starts({}, elsewhere.directory);
  for (const { cookie, session } of stands) {
    // Signed in as before: the secret came along.
    const { text, status } = await ask(`${again.address}${session}/events`, {
      headers: { cookie },
    });
    expect(status).toBe(200);
    for (const [id, of] of before) if (of === session) expect(text).toContain(id);
  }
  await again.stop();
  await elsewhere.remove();
});
