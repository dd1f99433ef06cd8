import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { Turns } from "./turns";

describe("rooms that take turns", () => {
  test("a small thing of one room waits for one heavy thing of another at most", async () => {
    const turns = new Turns(1);
    const done: string[] = [];
    const works = [
      ...["heavy 1", "heavy 2", "heavy 3", "heavy 4"].map((name) => ({ room: "a", name })),
      { room: "b", name: "small" },
    ].map(({ room, name }) => turns.take(room, () => Promise.resolve(void done.push(name))));
    await Promise.all(works);
    expect(done.indexOf("small")).toBe(1);
  });

  test("everything is done once, each room's in its order, never more at once than places", async () => {
    const asked = fc.array(
      fc.record({ room: fc.constantFrom("a", "b", "c"), fails: fc.boolean() }),
    );
    await fc.assert(
      fc.asyncProperty(asked, fc.integer({ min: 1, max: 3 }), async (all, places) => {
        const turns = new Turns(places);
        const began: Record<string, number[]> = {};
        let now = 0;
        let most = 0;
        const ends = all.map(({ room, fails }, n) =>
          turns.take(room, async () => {
            (began[room] ??= []).push(n);
            most = Math.max(most, ++now);
            await Promise.resolve();
            now--;
            if (fails) throw new Error(String(n));
            return n;
          }),
        );
        const settled = await Promise.allSettled(ends);
        expect(settled.map(({ status }) => status === "rejected")).toEqual(
          all.map(({ fails }) => fails),
        );
        for (const order of Object.values(began))
          expect(order).toEqual(order.toSorted((a, b) => a - b));
        expect(Object.values(began).flat()).toHaveLength(all.length);
        expect(most).toBeLessThanOrEqual(places);
      }),
    );
  });
});
