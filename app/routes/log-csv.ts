import { csvOf } from "~/server/csv";
import { logRows } from "~/features/log/log-rows";
import { logQuerySchema } from "~/forms/log";
import { forStudent } from "~/server/access/guard";
import { wholeLog } from "~/server/cases/record/log";
import { readQuery } from "~/server/query";
import type { Route } from "./+types/log-csv";

/** The log's lines as a table that any program reads, filtered as the page is. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const query = readQuery(asked.request, logQuerySchema);
    const lines = await wholeLog(services, studioId, personId, query);
    return csvOf("practice-log.csv", [logRows(lines)]);
  });
