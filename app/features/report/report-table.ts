import { reportWords } from "~/words/report";
import type { ReportLine } from "~/core/week";

const { columns } = reportWords;

/** The report as a table of plain values: a column for each figure. */
export const reportTable = (lines: readonly ReportLine[]) => ({
  columns: [
    columns.name,
    columns.instrument,
    columns.days,
    columns.minutes,
    columns.byHand,
    columns.sessions,
    `${columns.regularity}, %`,
    columns.itemsAsked,
    columns.items,
    columns.takesAsked,
    columns.takes,
    columns.late,
    columns.ratings,
    columns.grade,
    columns.since,
  ],
  rows: lines.map((line) => [
    line.name,
    line.instrument,
    line.days,
    line.minutes,
    line.byHand,
    line.sessions,
    Math.round(100 * line.regularity),
    line.items.asked,
    line.items.done,
    line.takes.asked,
    line.takes.handedIn,
    line.takes.late,
    line.ratings.join("; "),
    line.grade ? Math.round(line.grade.sum) : null,
    line.since ?? "",
  ]),
});
