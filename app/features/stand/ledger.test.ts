import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import { beforeEach, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { SessionEvent } from "~/core/session";
import { EventWriter } from "~/core/session/test/event-writer";
import { browserStub, ServerStub, until } from "~/features/keeping/test/server-stub";
import { Ledger } from "./ledger";

let server: ServerStub;
let window: EventTarget;
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  window = browserStub();
  server = new ServerStub();
});

const ids = (events: readonly SessionEvent[]) => events.map(({ id }) => id);
function played(verdicts: string): SessionEvent[] {
  const writer = new EventWriter();
  writer.write("opened");
  writer.plays(60, verdicts);
  return writer.events;
}

/** A ledger as the stand has it, with what it told last. */
function aLedger(stored: readonly SessionEvent[] = [], sessionId = "s1") {
  let seen: readonly SessionEvent[] = stored;
  const ledger = new Ledger({
    ...{ sessionId, stored, url: `/sessions/${sessionId}/events` },
    onEvents: (events) => (seen = events),
    onChange: () => undefined,
  });
  return { ledger, seen: () => seen };
}

describe("what is played", () => {
  test("is on disk before it counts as written, and arrives", async () => {
    const { ledger } = aLedger();
    await ledger.open();
    const events = played("c");
    for (const event of events) ledger.append(event);
    expect(ledger.behind).toBe(true);
    await ledger.written();
    expect(ledger.behind).toBe(false);
    expect(await ledger.flushed(1000)).toBe(true);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    ledger.dispose();
  });

  test("while the server is away, is there after a reload, and is sent then", async () => {
    server.state = "away";
    const before = aLedger();
    await before.ledger.open();
    const events = played("cf");
    for (const event of events) before.ledger.append(event);
    await before.ledger.written();
    before.ledger.dispose();

    server.state = "there";
    const after = aLedger();
    await after.ledger.open();
    expect(ids(after.seen())).toEqual(ids(events));
    expect(await after.ledger.flushed(1000)).toBe(true);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    after.ledger.dispose();
  });

  test("before the store has opened is kept all the same", async () => {
    const { ledger } = aLedger();
    const opening = ledger.open();
    const events = played("c");
    for (const event of events) ledger.append(event);
    await opening;
    await ledger.written();
    expect(await ledger.flushed(1000)).toBe(true);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    ledger.dispose();
  });

  test("comes behind what another window had sent, each once", async () => {
    const { ledger, seen } = aLedger();
    await ledger.open();
    const theirs = played("f");
    server.eventsOf("s1").push(...theirs);
    const ours = played("c");
    for (const event of ours) ledger.append(event);
    expect(await until(() => server.eventsOf("s1").length === 6)).toBeUndefined();
    await until(() => seen().length === 6);
    expect(ids(seen())).toEqual([...ids(theirs), ...ids(ours)]);
    expect(seen().map(({ seq }) => seq)).toEqual([0, 1, 2, 3, 4, 5]);
    ledger.dispose();
  });

  test("where the browser keeps nothing, is sent at once, and that is said", async () => {
    globalThis.indexedDB = {
      open: () => {
        throw new Error("Blocked.");
      },
    } as unknown as IDBFactory;
    const { ledger } = aLedger();
    await ledger.open();
    expect(ledger.keeps).toBe(false);
    const events = played("c");
    for (const event of events) ledger.append(event);
    await ledger.written();
    expect(await ledger.flushed(1000)).toBe(true);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    ledger.dispose();
  });

  test("of a session that has arrived is forgotten when another is opened; what waits is not", async () => {
    const sessions = ["arrived", "waits"];
    for (const name of sessions) {
      server.state = name === "waits" ? "away" : "there";
      const { ledger } = aLedger([], name);
      await ledger.open();
      for (const event of played("c")) ledger.append(event);
      await ledger.written();
      await ledger.flushed(name === "waits" ? 0 : 1000);
      ledger.dispose();
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    const { ledger } = aLedger([], "next");
    await ledger.open();
    const kept = async (name: string) => {
      const again = aLedger([], name);
      await again.ledger.open();
      again.ledger.dispose();
      return again.seen().length;
    };
    await until(async () => (await kept("arrived")) === 0);
    expect(await kept("waits")).toBe(3);
    ledger.dispose();
  });
});

test("however the connection comes and goes and pages are loaded anew, nothing is lost or doubled", async () => {
  const steps = fc.array(
    fc.oneof(
      { weight: 6, arbitrary: fc.constant("plays" as const) },
      fc.constantFrom("away" as const, "back" as const, "reload" as const, "lost" as const),
    ),
    { maxLength: 25 },
  );
  await fc.assert(
    fc.asyncProperty(steps, async (all) => {
      globalThis.indexedDB = new IDBFactory();
      window = browserStub();
      server = new ServerStub();
      const made: string[] = [];
      let page = aLedger();
      await page.ledger.open();
      for (const step of all) {
        if (step === "plays") {
          const events = page.seen();
          const id = crypto.randomUUID();
          const seq = Math.max(events.length, made.length);
          page.ledger.append({
            id,
            seq,
            at: 1_770_000_000_000 + seq,
            kind: "repeated",
            payload: {},
          });
          made.push(id);
        }
        if (step === "away") server.state = "away";
        if (step === "back") {
          server.state = "there";
          window.dispatchEvent(new Event("online"));
        }
        if (step === "lost") server.losesAnswers = 1;
        if (step === "reload") {
          await page.ledger.written();
          page.ledger.dispose();
          page = aLedger([...server.eventsOf("s1")]);
          await page.ledger.open();
        }
      }
      server.state = "there";
      server.losesAnswers = 0;
      await page.ledger.written();
      expect(await page.ledger.flushed(3000)).toBe(true);
      page.ledger.dispose();
      expect(ids(server.eventsOf("s1"))).toEqual(made);
    }),
    { numRuns: 40 },
  );
}, 60_000);
