import path from "node:path";
import { expect, test } from "@jest/globals";
import * as v from "valibot";
import { LADDER_DEFAULTS, ladderSchema } from "~/core/ladder";
import { aLadder } from "~/core/ladder/test/fixtures";
import { refuseFirstRules } from "./first-rules";
import { migrate, readMigrations } from "./migrate";
import { openPglite } from "./pglite.mjs";

test("sessions under the first rules are refused with a sentence, before anything is written", async () => {
  const engine = await openPglite({});
  await refuseFirstRules(engine);
  const before = (await readMigrations(path.resolve("app/db/migrations"))).slice(0, 2);
  await migrate(engine, before);
  await refuseFirstRules(engine);
  await engine.script(`
    set session_replication_role = replica;
    insert into session (id, studio_id, person_id, plan)
    select gen_random_uuid(), gen_random_uuid(), gen_random_uuid(), '{"version": 2, "rules": 2}'`);
  await refuseFirstRules(engine);
  await engine.script(`
    insert into session (id, studio_id, person_id, plan)
    select gen_random_uuid(), gen_random_uuid(), gen_random_uuid(), '{"version": 2}'`);
  await expect(refuseFirstRules(engine)).rejects.toThrow("Made by 0.1.0, which still opens it.");
  await engine.close();
}, 60_000);

test("ladders of the first form are carried over, wherever they are kept", async () => {
  const engine = await openPglite({});
  const all = await readMigrations(path.resolve("app/db/migrations"));
  const at = all.findIndex(({ name }) => name.startsWith("0041"));
  await migrate(engine, all.slice(0, at));
  await engine.script("set session_replication_role = replica");
  const rest = { rest: 0, minutes: 10, hidden: false, start: 60, target: 80 };
  const first = {
    ...{ ...rest, countInBars: 2, subdivision: 3, offerAfter: 5 },
    school: { name: "consolidate", numbers: { by: 4, plays: 3 } },
    startRule: { kind: "where-ended" },
    gate: { kind: "in-a-row", plays: 2, afterFlawed: "reset" },
  };
  const today = aLadder({ name: "even-steps", numbers: { step: 10 } }, 60, 80);
  const id = "gen_random_uuid()";
  for (const each of [first, today]) {
    await engine.query(
      `insert into ladder (id, studio_id, passage_id, number, ladder)
       values (${id}, ${id}, ${id}, 1, $1)`,
      [JSON.stringify(each)],
    );
    await engine.query(
      `insert into kept_ladder (id, studio_id, name, ladder, kept_at)
       values (${id}, ${id}, 'Kept', $1, now())`,
      [JSON.stringify(each)],
    );
  }
  const passages = [{ ladder: first }, { ladder: null }, { ladder: today }];
  await engine.query(
    `insert into exercise (id, studio_id, piece_id, name, passages, kept_at)
     values (${id}, ${id}, ${id}, 'Kept', $1, now())`,
    [JSON.stringify(passages)],
  );
  await migrate(engine, all);
  const { rows } = await engine.query(
    `select ladder from ladder union all select ladder from kept_ladder
     union all select unfolded->'ladder'
     from exercise, jsonb_array_elements(passages) unfolded`,
    [],
  );
  const carried = (rows as { ladder: unknown }[]).map(({ ladder }) => ladder);
  const read = carried.filter(Boolean).map((ladder) => v.parse(ladderSchema, ladder));
  const afterFlawed = { ...LADDER_DEFAULTS.afterFlawed, plays: 5 };
  const school = {
    name: "consolidate",
    numbers: { in: "bpm", below: 4, plays: 3, above: 4, over: 3 },
  };
  const click = {
    ...LADDER_DEFAULTS.click,
    pattern: { kind: "beats", subdivision: 3 },
    countIn: { bars: 2, inner: false, firstOnly: false, subdivision: 1 },
  };
  const expected = { ...aLadder(school, 60, 80), gate: [first.gate], afterFlawed, click };
  expect(carried).toHaveLength(7);
  const schoolOf = ({ phases }: { phases: readonly { school: { name: string } }[] }) =>
    phases[0]!.school.name;
  read.sort((a, b) => schoolOf(a).localeCompare(schoolOf(b)));
  expect(read).toEqual([expected, expected, expected, today, today, today]);
  await engine.close();
}, 60_000);
