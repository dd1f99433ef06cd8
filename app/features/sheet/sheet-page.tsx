import Button from "@mui/material/Button";
import { TempoText } from "~/components/beat-unit";
import type { Refused } from "~/components/field";
import type { StudentToChoose } from "~/components/choose-students";
import { GiveForm } from "~/components/give-form";
import { Page, Section } from "~/components/page";
import { useFormats } from "~/components/locale";
import { addDays } from "~/core/units";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { gateTold } from "./gate-told";
import { oftenTold } from "~/features/my-week/often-told";
import type { SheetItem } from "~/core/week";
import type { Sheet } from "./sheet-shapes";
import { stairsCorners, tempiTold } from "~/components/stairs-corners";
import styles from "./sheet.module.css";

const { sheet: said, week: weekWords } = planWords;
const STAIRS = { width: 132, height: 34 };

interface SheetPageProps {
  readonly sheet: Sheet;
  readonly studioId: string;
  readonly teaches: boolean;
  /** Other students, to whom the teacher may give what this week asks. */
  readonly others: readonly StudentToChoose[];
  readonly refused: Refused | undefined;
  readonly given: number | undefined;
}

/** The printed page: items with bars, staircase, gate, boxes to tick, and the cautions. */
export function SheetPage(props: SheetPageProps) {
  const { sheet, studioId, teaches, others, refused, given } = props;
  const formats = useFormats();
  const { person, week } = sheet;
  const span = [formats.shortDay(week.from), formats.shortDay(addDays(week.until, -1))] as const;
  const home = `/studio/${studioId}/students/${person.id}`;
  const here = `${home}/weeks/${week.id}`;
  return (
    <Page
      title={said.title}
      lead={said.for(`${person.name}, ${person.instrument}`.replace(/, $/, ""), ...span)}
      back={{ to: `${home}/week`, label: teaches ? words.student.week : weekWords.title }}
      actions={
        <span className={styles.buttons}>
          <Button variant="contained" onClick={() => window.print()}>
            {weekWords.print}
          </Button>
          <Button component="a" href={`${here}/sheet.pdf?paper=a4`} variant="outlined">
            {weekWords.pdf("A4")}
          </Button>
          <Button component="a" href={`${here}/sheet.pdf?paper=letter`} variant="outlined">
            {weekWords.pdf("Letter")}
          </Button>
        </span>
      }
    >
      <article className={styles.sheet}>
        {sheet.word && <p className={styles.word}>{sheet.word}</p>}
        <p className={styles.goal}>{said.goal(sheet.goal.minutes, sheet.goal.days)}</p>
        {sheet.asOf && <p>{said.asOf(formats.shortDay(sheet.asOf))}</p>}
        <div className={styles.scroll} role="region" aria-label={said.title} tabIndex={0}>
          <table className={styles.table}>
            <thead>
              <tr>
                <th scope="col">{weekWords.items}</th>
                {sheet.days.map(({ day }) => (
                  <th key={day} scope="col" className={styles.day}>
                    {formats.weekday(day)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {sheet.items.map((item) => (
                <ItemRow key={item.id} item={item} days={sheet.days.map(({ day }) => day)} />
              ))}
              <tr>
                <th scope="row">{said.minutesByDay}</th>
                {sheet.days.map(({ day, asked }) => (
                  <td key={day} className={styles.day}>
                    {asked > 0 ? asked : "–"}
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
        <aside className={styles.care}>
          <strong>{words.care.title}</strong>
          <ul>
            {words.care.points.map((point) => (
              <li key={point}>{point}</li>
            ))}
          </ul>
          <p>{words.care.noDiagnosis}</p>
        </aside>
      </article>
      {others.length > 0 && (
        <div className={styles.give}>
          <Section title={words.piece.give}>
            <GiveForm
              how={said.giveHow}
              items={sheet.items}
              others={others}
              refused={refused}
              given={given}
            />
          </Section>
        </div>
      )}
    </Page>
  );
}

/** The bars, unless the title says them already. */
const barsBesides = (title: string, bars: string): string =>
  title.includes(bars) ? "" : words.capital(bars);

function ItemRow({ item, days }: { item: SheetItem; days: readonly string[] }) {
  const facts = [
    item.bars && barsBesides(item.title, words.bars(item.bars.from, item.bars.to)),
    `${oftenTold(item.often)}, ${planWords.minutes(item.minutes)}`,
    item.focus && `${words.cut.focus}: ${item.focus}`,
    item.key && weekWords.key(item.key),
    item.gate && `${said.gate} ${gateTold(item.gate)}`,
    item.bring !== "nothing" && weekWords.toBring(planWords.item.bring[item.bring]),
    item.note,
  ].filter((fact): fact is string => Boolean(fact));
  return (
    <tr>
      <th scope="row">
        <span className={styles.title}>{item.title}</span>
        <span className={styles.facts}>{facts.join(" · ")}</span>
        {item.tempi.length > 0 && (
          <span className={styles.ladder}>
            {item.tempi.length > 1 && <SmallStairs tempi={item.tempi} />}
            <span>
              {item.beatUnit ? (
                <TempoText unit={item.beatUnit} bpm={tempiTold(item.tempi, item.target)} />
              ) : (
                tempiTold(item.tempi, item.target)
              )}
              {item.goalTempo !== null && item.beatUnit && (
                <>
                  {", "}
                  {planWords.lesson.goalTempo.toLowerCase()}{" "}
                  <TempoText unit={item.beatUnit} bpm={item.goalTempo} />
                </>
              )}
            </span>
          </span>
        )}
      </th>
      {days.map((day, i) => {
        const asked = item.asked[i] ?? 0;
        const done = item.doneOn.includes(day);
        return (
          <td key={day} className={styles.day}>
            {(asked > 0 || done) && (
              <>
                <span
                  className={styles.box}
                  role="img"
                  aria-label={done ? weekWords.doneOn(1) : said.tick}
                >
                  {done ? "✓" : ""}
                </span>
                {asked > 0 && <span className={styles.soft}>{asked}</span>}
              </>
            )}
          </td>
        );
      })}
    </tr>
  );
}

function SmallStairs({ tempi }: { tempi: readonly number[] }) {
  const corners = stairsCorners(tempi, STAIRS);
  return (
    <svg
      viewBox={`-2 -2 ${STAIRS.width + 4} ${STAIRS.height + 4}`}
      width={STAIRS.width}
      height={STAIRS.height}
      aria-hidden
    >
      <polyline
        points={corners.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(" ")}
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
      />
    </svg>
  );
}
