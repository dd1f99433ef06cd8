import PDFDocument from "pdfkit";
import { write, written, type Doc } from "~/components/pdf-text.server";
import { reportWords as said } from "~/words/report";
import type { ReportLine } from "~/core/week";
import type { Report } from "./report-shapes";

const MARGIN = 36;
const SMALL = 10;
const LINE = 19;

interface Column {
  readonly label: string;
  /** Share of the width. */
  readonly share: number;
  readonly cell: (line: ReportLine, told: (day: string) => string) => string;
}

const { columns } = said;
const nameTold: Column["cell"] = ({ name, since }, told) =>
  since ? said.since(name, told(since)) : name;
const COLUMNS: readonly Column[] = [
  { label: columns.name, share: 0.2, cell: nameTold },
  { label: columns.days, share: 0.07, cell: ({ days }) => `${days}` },
  { label: columns.minutes, share: 0.09, cell: ({ minutes }) => `${minutes}` },
  { label: columns.byHand, share: 0.09, cell: ({ byHand }) => `${byHand}` },
  { label: columns.sessions, share: 0.09, cell: ({ sessions }) => `${sessions}` },
  { label: columns.regularity, share: 0.1, cell: ({ regularity }) => said.percent(regularity) },
  { label: columns.items, share: 0.09, cell: ({ items }) => said.of(items.done, items.asked) },
  { label: columns.takes, share: 0.1, cell: ({ takes }) => said.of(takes.handedIn, takes.asked) },
  { label: columns.ratings, share: 0.1, cell: ({ ratings }) => ratings.join(", ") },
  {
    label: columns.grade,
    share: 0.07,
    cell: ({ grade }) => (grade ? said.sums.sum(grade.sum) : "–"),
  },
];

function drawRow(doc: Doc, width: number, cells: readonly string[], bold: boolean): void {
  const top = doc.y;
  let x = MARGIN;
  let bottom = top;
  cells.forEach((text, i) => {
    const wide = width * COLUMNS[i]!.share;
    doc.x = x;
    doc.y = top;
    write(doc, text || " ", { width: wide - 6, bold, size: SMALL });
    bottom = Math.max(bottom, doc.y);
    x += wide;
  });
  doc.y = Math.max(bottom, top + LINE - 4) + 4;
  doc
    .lineWidth(bold ? 1.2 : 0.4)
    .moveTo(MARGIN, doc.y - 2)
    .lineTo(MARGIN + width, doc.y - 2)
    .stroke();
}

const head = (doc: Doc, width: number) =>
  drawRow(
    doc,
    width,
    COLUMNS.map(({ label }) => label),
    true,
  );

function turnWhenFull(doc: Doc, needed: number): boolean {
  if (doc.y + needed <= doc.page.height - MARGIN) return false;
  doc.addPage();
  doc.y = MARGIN;
  return true;
}

/** The report as a PDF with its fonts inside: the figures, the rule, and each sum explained. */
export function reportPdf(report: Report, told: (day: string) => string): Promise<Buffer> {
  const { room, who, query, rule, lines } = report;
  const doc = new PDFDocument({
    size: "A4",
    layout: "landscape",
    margin: MARGIN,
    lang: "en",
    info: { Title: said.title, Author: room },
  });
  const whole = written(doc);
  const width = doc.page.width - 2 * MARGIN;
  write(doc, room, { width, size: SMALL });
  const title = said.lead(who ?? said.everyone, told(query.from), told(query.to));
  write(doc, `${said.title}: ${title}`, { width, bold: true, size: 16 });
  doc.y += 10;
  head(doc, width);
  for (const line of lines) {
    if (turnWhenFull(doc, LINE * 2)) head(doc, width);
    drawRow(
      doc,
      width,
      COLUMNS.map(({ cell }) => cell(line, told)),
      false,
    );
  }
  const paragraph = (text: string, bold = false) => {
    turnWhenFull(doc, LINE * 2);
    doc.x = MARGIN;
    write(doc, text, { width, bold, size: SMALL });
  };
  doc.y += 10;
  paragraph([said.regularityTold, said.itemsTold, said.byHandTold].join(" "));
  doc.y += 8;
  paragraph(said.rule.title, true);
  const weights = (["minutes", "days", "items", "takes"] as const).map((part) =>
    said.rule.weight(said.rule.weights[part], rule.weights[part]),
  );
  const asked = [said.rule.minutes(rule.minutes), said.rule.days(rule.days)];
  paragraph([...asked, ...weights, said.rule.cap(rule.cap)].join(" · "));
  doc.y += 8;
  paragraph(said.sums.title, true);
  for (const { name, grade } of lines) {
    if (!grade) continue;
    const parts = grade.lines.map(({ part, done, asked: of, points, of: most }) =>
      said.sums.part(said.rule.weights[part], done, of, points, most),
    );
    paragraph(`${name}: ${said.sums.sum(grade.sum)} (${parts.join("; ")})`);
  }
  doc.end();
  return whole;
}
