import type { Drawing } from "~/features/print/drawing.server";
import { reportQuerySchema } from "~/forms/report";
import { forTeacher } from "~/server/access/guard";
import { reportPage } from "~/server/cases/record/report";
import { preferredLocale } from "~/server/locale";
import { readQuery } from "~/server/query";
import type { Route } from "./+types/report-pdf";

/** The report on paper, to hand out or to file. */
export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const query = readQuery(asked.request, reportQuerySchema);
    const report = await reportPage(services, studioId, query);
    const { from, to } = report.query;
    const locale = preferredLocale(asked.request.headers.get("accept-language"));
    const drawing: Drawing = { kind: "report", report, locale };
    const pdf = await services.print(studioId, drawing);
    return new Response(pdf as BodyInit, {
      headers: {
        "Content-Type": "application/pdf",
        "Content-Disposition": `inline; filename="practice-${from}-to-${to}.pdf"`,
        "Cache-Control": "private, no-store",
      },
    });
  });
