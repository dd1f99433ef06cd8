import { logLines, logTotals, studentById } from "~/db/queries";
import type { LogQuery } from "~/forms/log";
import type { Services } from "../services";

/** A page of a student's log, with what all of the lines asked for come to. */
export async function logPage(
  { db }: Services,
  studioId: string,
  personId: string,
  query: LogQuery,
) {
  const part = {
    sort: query.sort,
    down: query.down,
    limit: query.rows,
    offset: query.page * query.rows,
  };
  const [person, totals, lines] = await Promise.all([
    studentById(db, studioId, personId),
    logTotals(db, studioId, personId, query),
    logLines(db, studioId, personId, query, part),
  ]);
  return { person: { id: person.id, name: person.name }, query, totals, lines };
}

/** More lines than anyone plays in a lifetime; a file has no pages. */
const WHOLE = 1_000_000;

/** All lines that are asked for. */
export async function wholeLog(
  { db }: Services,
  studioId: string,
  personId: string,
  query: LogQuery,
) {
  const { name } = await studentById(db, studioId, personId);
  const part = { sort: query.sort, down: query.down, limit: WHOLE, offset: 0 };
  return { name, lines: await logLines(db, studioId, personId, query, part) };
}
