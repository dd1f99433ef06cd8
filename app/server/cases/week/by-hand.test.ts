import { randomUUID } from "node:crypto";
import { expect, test } from "@jest/globals";
import { USUAL_SHORTHAND } from "~/core/week";
import { WHOLE_LOG } from "~/forms/log";
import { furnishedRoom } from "../../test/room";
import { addByHand, keepShorthand } from "./by-hand";
import { wholeLog } from "../record/log";
import { weekPage } from "./student-week";

const form = (fields: Readonly<Record<string, string>>) => {
  const made = new FormData();
  for (const [name, value] of Object.entries(fields)) made.set(name, value);
  return made;
};

test("what is logged in one's own codes is read spelt out, and stays so when the codes change", async () => {
  const { services, studioId, personId } = await furnishedRoom();
  const write = (note: string) =>
    addByHand(
      services,
      studioId,
      personId,
      form({ id: randomUUID(), minutes: "12", daysAgo: "0", note }),
    );
  const notes = async () =>
    (await wholeLog(services, studioId, personId, WHOLE_LOG)).map(({ note }) => note);
  const codes = async () => (await weekPage(services, studioId, personId)).shorthand;
  expect(await codes()).toEqual(USUAL_SHORTHAND);
  expect((await write("waltz 5-8 s m 12")).ok).toBe(true);
  expect(await notes()).toEqual(["waltz 5-8, slow, from memory"]);
  // Another number at its end is no minutes.
  expect((await write("bars 5 to 8")).ok).toBe(true);
  expect(await notes()).toContain("bars 5 to 8");
  expect(await write("m ".repeat(50))).toMatchObject({ error: { errors: { note: /200/ } } });
  const keep = (list: string) => keepShorthand(services, studioId, personId, form({ codes: list }));
  expect((await keep("s in silence\nhs hands separately")).ok).toBe(true);
  expect((await write("fugue hs m 12")).ok).toBe(true);
  expect((await notes()).toSorted()).toEqual([
    "bars 5 to 8",
    "fugue, hands separately m",
    "waltz 5-8, slow, from memory",
  ]);
  expect(await keep("s one\ns two")).toMatchObject({
    error: { errors: { codes: /twice/ }, values: { codes: "s one\ns two" } },
  });
  expect(await codes()).toHaveLength(2);
  expect((await keep("")).ok).toBe(true);
  expect(await codes()).toEqual([]);
}, 60_000);
