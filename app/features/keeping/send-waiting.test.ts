import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { EventWriter } from "~/core/session/test/event-writer";
import { EventStore, forgetAllBut, waitingSessions } from "./event-store";
import { sendWaiting, type Waiting } from "./send-waiting";
import { browserStub, ServerStub } from "./test/server-stub";

let server: ServerStub;
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  browserStub();
  server = new ServerStub();
});

const urlOf = (session: string) => `/sessions/${session}/events`;

/** What a stand has left behind in this browser: so many clean plays, sent or not. */
async function leftBehind(session: string, plays: number, sent = false) {
  const writer = new EventWriter();
  writer.write("opened");
  writer.plays(60, "c".repeat(plays));
  const store = await EventStore.open(session, urlOf(session));
  await store.keep(writer.events);
  if (sent) await store.acknowledged(writer.events);
  store.close();
  return writer.events;
}

async function sends(): Promise<readonly [Waiting, readonly Waiting[]]> {
  const told: Waiting[] = [];
  return [await sendWaiting((waiting) => told.push(waiting)), told];
}

describe("what lies in this browser", () => {
  test("nothing: nothing is asked of the server", async () => {
    await leftBehind("s1", 2, true);
    const [waiting] = await sends();
    expect(waiting).toMatchObject({ plays: 0, events: 0, sending: "sent", arrived: 0 });
    expect(server.batches).toEqual([]);
  });

  test("of several sessions is told, sent, and told as arrived", async () => {
    const events = await leftBehind("s1", 2);
    await leftBehind("s2", 1);
    const [waiting, told] = await sends();
    expect(told[0]).toMatchObject({ plays: 3, events: 8, sending: "sending" });
    expect(waiting).toMatchObject({ plays: 0, events: 0, sending: "sent", arrived: 8 });
    expect(server.eventsOf("s1")).toEqual(events);
    expect(await waitingSessions()).toEqual([]);
  });

  test.each([
    ["away", "kept"],
    ["signed-out", "signed-out"],
  ] as const)(
    "waits on while the server is %s",
    async (state, sending) => {
      await leftBehind("s1", 1);
      server.state = state;
      const [waiting] = await sends();
      expect(waiting).toMatchObject({ plays: 1, events: 3, sending, arrived: 0 });
      server.state = "there";
      expect((await sends())[0]).toMatchObject({ plays: 0, arrived: 3 });
      // It is tried for six seconds.
    },
    30_000,
  );

  test("of somebody else waits for them, and is not told as one's own", async () => {
    await leftBehind("theirs", 2);
    await leftBehind("ours", 1);
    server.others.add("theirs");
    const [waiting] = await sends();
    expect(waiting).toMatchObject({ plays: 0, events: 0, others: ["theirs"], sending: "sent" });
    expect((await waitingSessions()).map(({ session }) => session)).toEqual(["theirs"]);
    // Whoever signs out takes nothing of theirs away.
    await forgetAllBut(waiting.others);
    expect((await waitingSessions()).map(({ session }) => session)).toEqual(["theirs"]);
    await forgetAllBut([]);
    expect(await waitingSessions()).toEqual([]);
  });

  test("moves behind what another device has sent of the same session", async () => {
    const writer = new EventWriter();
    writer.write("opened");
    writer.plays(60, "f");
    server.eventsOf("s1").push(...writer.events);
    const events = await leftBehind("s1", 1);
    expect((await sends())[0]).toMatchObject({ events: 0, sending: "sent" });
    expect(server.eventsOf("s1").map(({ id }) => id)).toEqual(
      [...writer.events, ...events].map(({ id }) => id),
    );
  });

  test("and can't be read is sent as it is behind the rest, and stays until it is taken", async () => {
    const events = await leftBehind("s1", 1);
    const store = await EventStore.open("s1", urlOf("s1"));
    const strange = { ...events[1]!, id: crypto.randomUUID(), kind: "hummed" };
    await store.keep([strange as unknown as (typeof events)[0]]);
    store.close();
    const [waiting] = await sends();
    expect(waiting).toMatchObject({ plays: 0, events: 1, sending: "kept" });
    expect(server.eventsOf("s1")).toEqual(events);
    expect(server.batches.at(-1)).toEqual([strange.id]);
    expect((await waitingSessions())[0]!.unread).toHaveLength(1);
    // The server had taken it, and its answer was lost.
    server.eventsOf("s1").push(strange as unknown as (typeof events)[0]);
    expect((await sends())[0]).toMatchObject({ events: 0, sending: "sent" });
    expect(server.batches.filter(([id]) => id === strange.id)).toHaveLength(1);
  });
});
