import type { Paper } from "~/features/sheet/papers";
import { sheetPdf } from "~/features/sheet/sheet-pdf.server";
import type { Sheet } from "~/features/sheet/sheet-shapes";
import { reportPdf } from "~/features/report/report-pdf.server";
import type { Report } from "~/features/report/report-shapes";

/** What can be drawn on paper, with the locale in which its days are named. */
export type Drawing =
  | { readonly kind: "report"; readonly report: Report; readonly locale: string }
  | {
      readonly kind: "sheet";
      readonly sheet: Sheet;
      readonly paper: Paper;
      readonly locale: string;
    };

const daysIn = (locale: string, options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat(locale, { timeZone: "UTC", ...options });
  return (day: string) => format.format(new Date(`${day}T12:00:00Z`));
};

/** A document as PDF, with its fonts inside. */
export function draw(drawing: Drawing): Promise<Buffer> {
  const { locale } = drawing;
  switch (drawing.kind) {
    case "report":
      return reportPdf(drawing.report, daysIn(locale, { dateStyle: "long" }));
    case "sheet":
      return sheetPdf(drawing.sheet, drawing.paper, {
        weekday: daysIn(locale, { weekday: "short" }),
        day: daysIn(locale, { day: "numeric", month: "short" }),
      });
  }
}
