import path from "node:path";
import { expect, test } from "@jest/globals";
import { randomUUID } from "node:crypto";
import { newItem } from "~/core/week";
import { parseKey, type Day } from "~/core/units";
import { createDatabase } from "~/db/client";
import { migrate, readMigrations } from "~/db/client/migrate";
import { openPglite } from "~/db/client/pglite.mjs";
import { assignmentsOf, askedByDay, draftOf, enoughOf, practiceByHand } from "./index";

const [studio, person, passage, other] = Array.from({ length: 4 }, () => randomUUID());
const [week, draft, scales, waltz, songs] = Array.from({ length: 5 }, () => randomUUID());

test("weeks and drafts of an older database say the same of each item, day and minute as rows", async () => {
  const engine = await openPglite({});
  const all = await readMigrations(path.resolve("app/db/migrations"));
  const at = all.findIndex(({ name }) => name.startsWith("0045"));
  await migrate(engine, all.slice(0, at));
  await engine.script("set session_replication_role = replica");
  const items = [
    newItem(scales!, {
      ...{ title: "Scales", kind: "technique", often: { kind: "times", times: 3 }, minutes: 7 },
      ...{ keys: [parseKey("D")!], focuses: ["slow"] },
    }),
    newItem(waltz!, {
      ...{ title: "Waltz", passageId: passage!, goalTempo: 92.5, since: "2026-05-06" },
      ...{ bring: "recording", recordRun: 3, due: "2026-05-09", given: { item: other! } },
    }),
    newItem(songs!, { title: "Songs", until: "2026-05-08", decision: "finished" }),
  ];
  const text = { items, word: "Slowly.", shape: null };
  const next = { ...text, items: items.slice(0, 1), word: "" };
  for (const [id, said, from, until, set] of [
    [week, text, "2026-05-04", "2026-05-11", "2026-05-04T10:00:00Z"],
    [draft, next, "2026-05-11", "2026-05-18", null],
  ] as const) {
    await engine.query(
      `insert into assignment (id, studio_id, person_id, from_day, until_day, version, text, set_at,
         saved_at) values ($1, $2, $3, $4, $5, 3, $6, $7, now())`,
      [id, studio, person, from, until, JSON.stringify(said), set],
    );
  }
  await engine.query(
    `insert into passage (id, studio_id, person_id, piece_id, from_bar, to_bar, pickup_beats,
       end_beats) values ($1, $2, $3, $4, 1, 4, 0, 0)`,
    [passage, studio, person, randomUUID()],
  );
  // Of one item that the week has, and of one that no week knows.
  for (const id of [scales, randomUUID()]) {
    const of = [studio, person, id];
    await engine.query(
      `insert into item_enough (studio_id, person_id, item_id, day) values ($1, $2, $3, '2026-05-05')`,
      of,
    );
    await engine.query(
      `insert into item_day (studio_id, person_id, item_id, day, minutes)
       values ($1, $2, $3, '2026-05-05', 7)`,
      of,
    );
    await engine.query(
      `insert into practice_by_hand (id, studio_id, person_id, item_id, day, minutes)
       values (gen_random_uuid(), $1, $2, $3, '2026-05-05', 12)`,
      of,
    );
  }
  await migrate(engine, all);
  const db = createDatabase(engine);
  const [carried] = await assignmentsOf(db, studio!, person!, 2);
  expect(carried).toMatchObject({ id: week, version: 3, from_day: "2026-05-04", text });
  expect(carried!.earlier).toEqual([]);
  expect(await draftOf(db, studio!, person!)).toMatchObject({ id: draft, version: 3, text: next });
  const days = ["2026-05-01", "2026-05-31"] as unknown as [Day, Day];
  expect(await enoughOf(db, studio!, person!, ...days)).toMatchObject([{ item_id: scales }]);
  expect(await askedByDay(db, studio!, person!, ...days)).toMatchObject([{ minutes: 7 }]);
  const byHand = await practiceByHand(db, studio!, person!, ...days);
  expect(byHand.map(({ item_id, minutes }) => [item_id, minutes])).toEqual(
    expect.arrayContaining([
      [scales, 12],
      [null, 12],
    ]),
  );
  await engine.close();
}, 60_000);
