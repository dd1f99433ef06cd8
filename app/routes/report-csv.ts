import { reportTable } from "~/features/report/report-table";
import { reportQuerySchema } from "~/forms/report";
import { csvOf } from "~/server/csv";
import { forTeacher } from "~/server/access/guard";
import { reportPage } from "~/server/cases/record/report";
import { readQuery } from "~/server/query";
import type { Route } from "./+types/report-csv";

/** The report as a table that any program reads. */
export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const query = readQuery(asked.request, reportQuerySchema);
    const { lines, query: of } = await reportPage(services, studioId, query);
    return csvOf(`practice-${of.from}-to-${of.to}.csv`, [reportTable(lines)]);
  });
