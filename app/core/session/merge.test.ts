import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { mergeEvents, type SessionEvent } from ".";

const event = (n: number, seq: number): SessionEvent => ({
  id: `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`,
  seq,
  at: 1_770_000_000_000 + n,
  kind: "repeated",
  payload: {},
});

test("whatever arrived and whatever was kept: nothing is lost, nothing twice, no gap", () => {
  const counts = fc.record({
    stored: fc.integer({ min: 0, max: 30 }),
    shared: fc.integer({ min: 0, max: 30 }),
    onlyHere: fc.integer({ min: 0, max: 30 }),
  });
  fc.assert(
    fc.property(counts, ({ stored, shared, onlyHere }) => {
      const onServer = Array.from({ length: stored }, (_, i) => event(i, i));
      const alsoHere = onServer.slice(0, shared);
      const fresh = Array.from({ length: onlyHere }, (_, i) =>
        event(1000 + i, alsoHere.length + i),
      );
      const { events, unsent } = mergeEvents(onServer, [...alsoHere, ...fresh].reverse());
      expect(events.map(({ seq }) => seq)).toEqual(events.map((_, i) => i));
      expect(new Set(events.map(({ id }) => id)).size).toBe(stored + onlyHere);
      expect(unsent.map(({ id }) => id)).toEqual(fresh.map(({ id }) => id));
    }),
  );
});
