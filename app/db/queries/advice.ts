import * as v from "valibot";
import { ladderSchema } from "~/core/ladder";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

/** Plays of a student since a day, by passage, day and tempo: of the whole; tension of all of them. */
export const tempoTallies = (db: Queries, studioId: string, personId: string, since: Day) =>
  db.many(
    v.object({
      passage_id: idRow,
      day: dayRow,
      tempo: v.number(),
      plays: v.number(),
      clean: v.number(),
      tense: v.number(),
    }),
    `select passage_id, rep.day, tempo,
       count(*) filter (where layer is null and share >= 1 and cycle_base is null) as plays,
       count(*) filter (where layer is null and share >= 1 and cycle_base is null
         and verdict = 'clean') as clean,
       count(*) filter (where flaw_what = 'tension') as tense
     from rep join passage on passage.id = passage_id
     where rep.studio_id = $1 and passage.person_id = $2 and rep.day >= $3
     group by passage_id, rep.day, tempo order by rep.day, tempo`,
    [studioId, personId, since],
  );

/** What was reached on each day since one, of all passages of a student, the oldest first. */
export const reachedSince = (db: Queries, studioId: string, personId: string, since: Day) =>
  db.many(
    v.object({ passage_id: idRow, day: dayRow, reached: v.nullable(v.number()) }),
    `select passage_id, day, reached_tempo as reached from passage_day
     join passage on passage.id = passage_id
     where passage_day.studio_id = $1 and passage.person_id = $2 and day >= $3 order by day`,
    [studioId, personId, since],
  );

/** The latest sitting of a student, with the moments of its judged plays in milliseconds. */
export const lastSitting = (db: Queries, studioId: string, personId: string) =>
  db.maybeOne(
    v.object({ day: dayRow, moments: v.array(v.number()) }),
    `select o.day, coalesce((select jsonb_agg(extract(epoch from at) * 1000 order by at)
       from rep where rep.session_id = o.session_id), '[]'::jsonb) as moments
     from session_outcome o where studio_id = $1 and person_id = $2
     order by started_at desc limit 1`,
    [studioId, personId],
  );

/** Flaws of all passages of a student by piece and bar, since a day. */
export const flawsOfPerson = (db: Queries, studioId: string, personId: string, since: Day) =>
  db.many(
    v.object({ passage_id: idRow, bar: v.number(), flawed: v.number() }),
    `select passage_id, flaw_bar as bar, count(*) as flawed
     from rep join passage on passage.id = passage_id
     where rep.studio_id = $1 and passage.person_id = $2 and rep.day >= $3
       and flaw_bar is not null
     group by passage_id, flaw_bar order by flaw_bar`,
    [studioId, personId, since],
  );

/** What of the advice for a student was put away. */
export const dismissedAdvice = async (db: Queries, studioId: string, personId: string) => {
  const found = await db.many(
    v.object({ key: v.string() }),
    "select key from advice_dismissed where studio_id = $1 and person_id = $2",
    [studioId, personId],
  );
  return new Set(found.map(({ key }) => key));
};

export const dismissAdvice = (
  db: Queries,
  studioId: string,
  personId: string,
  key: string,
  at: Date,
) =>
  db.execute(
    `insert into advice_dismissed (studio_id, person_id, key, at) values ($1, $2, $3, $4)
     on conflict do nothing`,
    [studioId, personId, key, at],
  );

/** Rules that are switched off for a student: theirs, and those that are off for everyone. */
export const rulesOff = (db: Queries, studioId: string, personId: string) =>
  db.many(
    v.object({ rule: v.string(), everyone: v.boolean() }),
    `select rule, person_id is null as everyone from advice_off
     where studio_id = $1 and (person_id = $2 or person_id is null) order by rule`,
    [studioId, personId],
  );

/** Switches a rule off for a student, or for everyone without one. */
export const switchRuleOff = (
  db: Queries,
  studioId: string,
  personId: string | null,
  rule: string,
) =>
  db.execute(
    `insert into advice_off (studio_id, person_id, rule) values ($1, $2, $3)
     on conflict do nothing`,
    [studioId, personId, rule],
  );

/** Switches a rule on again, for a student and for everyone. */
export const switchRuleOn = (db: Queries, studioId: string, personId: string, rule: string) =>
  db.execute(
    `delete from advice_off where studio_id = $1 and rule = $3
     and (person_id = $2 or person_id is null)`,
    [studioId, personId, rule],
  );

/** A ladder that a passage had, by its number; the one in force without. */
export const ladderNumbered = (
  db: Queries,
  studioId: string,
  passageId: string,
  number: number | null,
) =>
  db.maybeOne(
    v.object({ number: v.number(), ladder: ladderSchema }),
    `select number, ladder from ladder
     where studio_id = $1 and passage_id = $2 and ($3::integer is null or number = $3)
     order by number desc limit 1`,
    [studioId, passageId, number],
  );
