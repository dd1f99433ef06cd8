import { reportWords } from "~/words/report";
import type { ReportLine } from "~/core/week";
import styles from "./report.module.css";

const { sums: said, rule } = reportWords;

/** How each sum comes about: its parts drawn as long as they count, and told. */
export function Sums({ lines }: { readonly lines: readonly ReportLine[] }) {
  const most = Math.max(100, ...lines.map(({ grade }) => grade?.sum ?? 0));
  return (
    <ul className={styles.sums}>
      {lines.map(({ id, name, grade }) => (
        <li key={id}>
          <span className={styles.who}>
            <strong>{name}</strong> {grade ? said.sum(grade.sum) : said.none}
          </span>
          {grade && (
            <>
              <span className={styles.bar} aria-hidden>
                {grade.lines.map(({ part, points }) => (
                  <span
                    key={part}
                    className={styles[part]}
                    style={{ width: `${(100 * points) / most}%` }}
                  />
                ))}
              </span>
              <span className={styles.parts}>
                {grade.lines
                  .map(({ part, done, asked, points, of }) =>
                    said.part(rule.weights[part], done, asked, points, of),
                  )
                  .join(" · ")}
              </span>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
