import type { Engine } from "./engine";

/** What was played by rules that this version doesn't know is left to the version that does. */
export const MADE_BY_FIRST = "Made by 0.1.0, which still opens it";

/** Throws where a session was opened under the first rules; nothing has been written then. */
export async function refuseFirstRules(engine: Engine): Promise<void> {
  const known = await engine.query(
    "select to_regclass('session') is not null and to_regclass('rep_measure') is null as old",
    [],
  );
  // Looking at every plan takes its time; since there is `rep_measure`, none of them can be there.
  if (!(known.rows as readonly { old: boolean }[])[0]!.old) return;
  const { rows } = await engine.query(
    "select 1 from session where coalesce(plan->>'rules', '1') = '1' limit 1",
    [],
  );
  if (rows.length > 0) throw new Error(`${MADE_BY_FIRST}.`);
}
