import { logLines, logTotals, studentById } from "~/db/queries";
import type { LogQuery } from "~/forms/log";
import { partOf } from "~/forms/paging";
import type { Services } from "../../services";

/** A page of a student's log, with what all of the lines asked for come to. */
export async function logPage(
  { db }: Services,
  studioId: string,
  personId: string,
  query: LogQuery,
) {
  const [person, totals, lines] = await Promise.all([
    studentById(db, studioId, personId),
    logTotals(db, studioId, personId, query),
    logLines(db, studioId, personId, query, partOf(query)),
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
  await studentById(db, studioId, personId);
  return logLines(db, studioId, personId, query, partOf({ ...query, page: 0, rows: WHOLE }));
}
