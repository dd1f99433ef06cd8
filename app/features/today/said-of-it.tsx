import type { WeekNote } from "~/core/session";
import type { Focus } from "~/core/week";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import styles from "./part-list.module.css";

const { today } = planWords;

/** What the teacher said of it: what to listen for, the week's key, a note. */
export function SaidOfIt(props: { said: Partial<WeekNote> | undefined; focus?: string }) {
  const { said } = props;
  const listenFor = said?.listenFor || props.focus;
  const lines = [
    said?.focuses?.length &&
      words.capital(said.focuses.map((each) => words.focuses[each as Focus]).join(", ")),
    listenFor && today.listenFor(listenFor),
    said?.key && planWords.week.key(said.key),
    said?.recordRun && today.recordRun(said.recordRun),
    said?.note,
  ].filter((line): line is string => Boolean(line));
  if (lines.length === 0) return null;
  return <span className={styles.said}>{lines.join(" · ")}</span>;
}
