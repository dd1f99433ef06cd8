import { reportPdf } from "~/features/report/report-pdf.server";
import { reportQuerySchema } from "~/forms/report";
import { forTeacher } from "~/server/access/guard";
import { reportPage } from "~/server/cases/report";
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
    const format = new Intl.DateTimeFormat(locale, { timeZone: "UTC", dateStyle: "long" });
    const pdf = await reportPdf(report, (day) => format.format(new Date(`${day}T12:00:00Z`)));
    return new Response(new Uint8Array(pdf), {
      headers: {
        "Content-Type": "application/pdf",
        "Content-Disposition": `inline; filename="practice-${from}-to-${to}.pdf"`,
        "Cache-Control": "private, no-store",
      },
    });
  });
