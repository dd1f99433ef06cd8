import { beforeEach, describe, expect, test } from "@jest/globals";
import { mergeEvents, type SessionEvent } from "~/core/session";
import { EventWriter } from "~/core/session/test/event-writer";
import { Outbox, type Sending } from "./outbox";
import { browserStub, ServerStub, until } from "./test/server-stub";

const URL_OF = "/sessions/s1/events";
let server: ServerStub;
let window: EventTarget;
beforeEach(() => {
  window = browserStub();
  server = new ServerStub();
});

function played(verdicts: string): SessionEvent[] {
  const writer = new EventWriter();
  writer.write("opened");
  writer.plays(60, verdicts);
  return writer.events;
}

function anOutbox() {
  const told: Sending[] = [];
  const sent: string[] = [];
  const kept: SessionEvent[] = [];
  const outbox = new Outbox({
    url: URL_OF,
    onSending: (sending) => told.push(sending),
    onSent: (events) => sent.push(...events.map(({ id }) => id)),
    onConflict: (stored) => Promise.resolve(mergeEvents(stored, kept).unsent),
  });
  const add = (events: readonly SessionEvent[]) => {
    kept.push(...events);
    outbox.add(events);
  };
  return { outbox, add, told, sent };
}
const ids = (events: readonly SessionEvent[]) => events.map(({ id }) => id);

describe("what is sent", () => {
  test("arrives in order, and says so", async () => {
    const { outbox, add, told, sent } = anOutbox();
    const events = played("ccf");
    add(events.slice(0, 3));
    add(events.slice(3));
    expect(await outbox.flushed(1000)).toBe(true);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    expect(sent).toEqual(ids(events));
    await until(() => told.at(-1) === "sent");
    outbox.dispose();
  });

  test("goes in batches, so that a long session gets through", async () => {
    const { outbox, add } = anOutbox();
    const events = played("c".repeat(250));
    add(events);
    expect(await outbox.flushed(2000)).toBe(true);
    expect(server.batches.map((batch) => batch.length)).toEqual([200, 200, 101]);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    outbox.dispose();
  });

  test("is kept while the server is away, and goes at once when the connection is back", async () => {
    const { outbox, add, told } = anOutbox();
    server.state = "away";
    const events = played("c");
    add(events);
    await until(() => told.at(-1) === "kept");
    expect(outbox.empty).toBe(false);
    server.state = "there";
    window.dispatchEvent(new Event("online"));
    await until(() => outbox.empty);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    outbox.dispose();
  });

  test("is sent again where the answer was lost, and is there once", async () => {
    const { outbox, add } = anOutbox();
    server.losesAnswers = 1;
    const events = played("cc");
    add(events);
    await until(() => server.batches.length === 1);
    window.dispatchEvent(new Event("online"));
    await until(() => outbox.empty);
    expect(server.batches[1]).toEqual(server.batches[0]);
    expect(ids(server.eventsOf("s1"))).toEqual(ids(events));
    outbox.dispose();
  });

  test("waits for whoever is signed out, and is not lost", async () => {
    const { outbox, add, told } = anOutbox();
    server.state = "signed-out";
    add(played("c"));
    await until(() => told.at(-1) === "signed-out");
    server.state = "there";
    window.dispatchEvent(new Event("online"));
    await until(() => outbox.empty);
    expect(server.eventsOf("s1")).toHaveLength(3);
    outbox.dispose();
  });

  test("moves behind what another window had sent meanwhile", async () => {
    const { outbox, add } = anOutbox();
    const theirs = played("f");
    server.eventsOf("s1").push(...theirs);
    const ours = played("cc");
    add(ours);
    expect(await outbox.flushed(1000)).toBe(true);
    const there = server.eventsOf("s1");
    expect(ids(there)).toEqual([...ids(theirs), ...ids(ours)]);
    expect(there.map(({ seq }) => seq)).toEqual(there.map((_, n) => n));
    outbox.dispose();
  });

  test("stays unsent after it is disposed of, however it goes on outside", async () => {
    const { outbox, add } = anOutbox();
    server.state = "away";
    add(played("c"));
    outbox.dispose();
    server.state = "there";
    window.dispatchEvent(new Event("online"));
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(server.batches).toEqual([]);
  });
});
