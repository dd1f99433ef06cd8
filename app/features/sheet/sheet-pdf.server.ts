import PDFDocument from "pdfkit";
import { write, written, type Doc } from "~/components/pdf-text.server";
import { addDays } from "~/core/units";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { gateTold } from "./gate-told";
import { oftenTold } from "~/features/my-week/often-told";
import type { SheetItem } from "~/core/week";
import type { Paper } from "./papers";
import type { Sheet } from "./sheet-shapes";
import { stairsCorners, tempiTold } from "~/components/stairs-corners";

const SIZES = { a4: "A4", letter: "LETTER" } as const;
const MARGIN = 36;
const DAY_WIDTH = 38;
const BOX = 16;
const STAIRS = { width: 96, height: 20 };
const SMALL = 11;
const { sheet: said, week: weekWords } = planWords;

function facts(item: SheetItem): string {
  const goal =
    item.goalTempo === null
      ? undefined
      : `${planWords.lesson.goalTempo} ${item.goalTempo}${item.beatUnit ? "" : " bpm"}`;
  return [
    item.bars && words.capital(words.bars(item.bars.from, item.bars.to)),
    `${oftenTold(item.often)}, ${planWords.minutes(item.minutes)}`,
    goal,
    item.focus && `${words.cut.focus}: ${item.focus}`,
    item.key && weekWords.key(item.key.replace("♯", " sharp").replace("♭", " flat")),
    item.gate && `${said.gate} ${gateTold(item.gate)}`,
    item.bring !== "nothing" && weekWords.toBring(planWords.item.bring[item.bring]),
    item.note,
  ]
    .filter(Boolean)
    .join(" · ");
}

function drawStairs(doc: Doc, item: SheetItem, x: number, y: number): void {
  const [first, ...rest] = stairsCorners(item.tempi, STAIRS);
  if (!first) return;
  doc.moveTo(x + first[0], y + first[1]);
  for (const [dx, dy] of rest) doc.lineTo(x + dx, y + dy);
  doc.lineWidth(1.2).stroke();
  doc.font("latin-plain").fontSize(SMALL);
  const unit = item.beatUnit ? `${words.beatUnit[item.beatUnit]} = ` : "";
  const span = `${unit}${tempiTold(item.tempi, item.target)}`;
  doc.text(span, x + STAIRS.width + 8, y + STAIRS.height / 2 - 5, { lineBreak: false });
}

function drawItem(doc: Doc, item: SheetItem, wide: number): void {
  const left = doc.page.margins.left;
  const width = wide - 12;
  const needed = 74 + (item.tempi.length > 1 ? STAIRS.height + 8 : 0);
  if (doc.y + needed > doc.page.height - doc.page.margins.bottom) doc.addPage();
  const top = doc.y + 6;
  doc.x = left;
  doc.y = top;
  write(doc, item.title, { width, bold: true });
  doc.x = left;
  write(doc, facts(item), { width, size: SMALL });
  let bottom = doc.y;
  if (item.tempi.length > 1) {
    drawStairs(doc, item, left, bottom + 4);
    bottom += STAIRS.height + 8;
  }
  item.asked.forEach((minutes, i) => {
    if (minutes === 0) return;
    const x = left + wide + i * DAY_WIDTH + (DAY_WIDTH - BOX) / 2;
    doc
      .lineWidth(1)
      .rect(x, top + 2, BOX, BOX)
      .stroke();
    doc.font("latin-plain").fontSize(SMALL);
    doc.text(`${minutes}`, x - 4, top + BOX + 4, { width: BOX + 8, align: "center" });
  });
  doc.y = Math.max(bottom, top + BOX + 20) + 4;
  const right = doc.page.width - doc.page.margins.right;
  doc.lineWidth(0.5).moveTo(left, doc.y).lineTo(right, doc.y).stroke();
}

function drawCare(doc: Doc): void {
  const left = doc.page.margins.left;
  const width = doc.page.width - 2 * MARGIN;
  if (doc.y + 180 > doc.page.height - doc.page.margins.bottom) doc.addPage();
  doc.x = left;
  doc.y += 14;
  write(doc, words.care.title, { width, bold: true, size: SMALL });
  for (const point of words.care.points) {
    doc.x = left;
    write(doc, `– ${point}`, { width, size: SMALL });
  }
  doc.x = left;
  write(doc, words.care.noDiagnosis, { width, size: SMALL });
}

/** The sheet as a PDF with its fonts inside; days are named by a function of the reader's locale. */
export function sheetPdf(
  sheet: Sheet,
  paper: Paper,
  named: { readonly weekday: (day: string) => string; readonly day: (day: string) => string },
): Promise<Buffer> {
  const doc = new PDFDocument({
    size: SIZES[paper],
    margin: MARGIN,
    lang: "en",
    info: { Title: said.title, Author: sheet.room },
  });
  const whole = written(doc);
  const width = doc.page.width - 2 * MARGIN;
  const { person, week } = sheet;
  write(doc, sheet.room, { width, size: SMALL });
  const who = [person.name, person.instrument].filter(Boolean).join(", ");
  const span = [named.day(week.from), named.day(addDays(week.until, -1))] as const;
  write(doc, said.for(who, ...span), { width, bold: true, size: 16 });
  write(doc, said.goal(sheet.goal.minutes, sheet.goal.days), { width });
  if (sheet.asOf) write(doc, said.asOf(named.day(sheet.asOf)), { width });
  if (sheet.word) write(doc, sheet.word, { width });
  // Up to a fortnight has a column for each day; longer stretches have the first ones.
  const days = sheet.days.slice(0, Math.floor((width * 0.62) / DAY_WIDTH));
  const wide = width - days.length * DAY_WIDTH;
  doc.y += 8;
  const headY = doc.y;
  days.forEach(({ day, asked }, i) => {
    const x = MARGIN + wide + i * DAY_WIDTH;
    doc.font("latin-bold").fontSize(SMALL);
    doc.text(named.weekday(day), x, headY, { width: DAY_WIDTH, align: "center" });
    doc.font("latin-plain").fontSize(SMALL);
    doc.text(`${asked} min`, x, headY + 14, { width: DAY_WIDTH, align: "center" });
  });
  doc.y = headY + 30;
  doc
    .lineWidth(1.2)
    .moveTo(MARGIN, doc.y)
    .lineTo(MARGIN + width, doc.y)
    .stroke();
  for (const item of sheet.items) {
    drawItem(doc, { ...item, asked: item.asked.slice(0, days.length) }, wide);
  }
  drawCare(doc);
  doc.end();
  return whole;
}
