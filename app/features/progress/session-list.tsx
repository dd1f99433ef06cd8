import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import type { LogBlock, LogEntry } from "~/features/shapes";
import { words } from "~/words";
import styles from "./session-list.module.css";

function moved({ start, end, reached, byClock }: LogBlock): string {
  return reached === null
    ? words.afterwards.noGate(end, byClock)
    : words.afterwards.reached(start, reached, end);
}

/** Sessions, newest first: what was played, what moved, what was noted. */
export function SessionList(props: { studioId: string; entries: readonly LogEntry[] }) {
  const formats = useFormats();
  return (
    <ul className={styles.sessions}>
      {props.entries.map(({ session_id, day, ended, notes, blocks, tasks }) => (
        <li key={session_id}>
          <div className={styles.when}>
            <Link to={`/studio/${props.studioId}/sessions/${session_id}`}>
              {formats.shortDay(day)}
            </Link>
            <span>
              {words.minutes(
                blocks.reduce((sum, { minutes }) => sum + minutes, 0) +
                  tasks.reduce((sum, { seconds }) => sum + seconds / 60, 0),
              )}
            </span>
            {ended === null && <span className={styles.soft}>{words.log.open}</span>}
            {ended === "pain" && <span className={styles.pain}>{words.log.pain}</span>}
          </div>
          <div className={styles.blocks}>
            {blocks.map((block, i) => (
              <div key={i} className={styles.block}>
                <span>
                  {block.title}, {block.name || words.bars(block.fromBar, block.toBar)}
                </span>
                <span className={styles.moved}>{moved(block)}</span>
                <span className={styles.soft}>{words.cleanOf(block.clean, block.plays)}</span>
              </div>
            ))}
            {notes.map((note, i) => (
              <q key={i}>{note}</q>
            ))}
          </div>
        </li>
      ))}
    </ul>
  );
}
