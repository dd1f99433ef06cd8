import type { Engine } from "./engine";

/** What was played by rules that this version doesn't know is left to the version that does. */
export const MADE_BY_FIRST = "Made by 0.1.0, which still opens it";

/** Throws where a session was opened under the first rules; nothing has been written then. */
export async function refuseFirstRules(engine: Engine): Promise<void> {
  const exists = await engine.query("select to_regclass('session') is not null as found", []);
  if (!(exists.rows as readonly { found: boolean }[])[0]!.found) return;
  const { rows } = await engine.query(
    "select 1 from session where coalesce(plan->>'rules', '1') = '1' limit 1",
    [],
  );
  if (rows.length > 0) throw new Error(`${MADE_BY_FIRST}.`);
}
