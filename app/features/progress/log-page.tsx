import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import type { LogEntry } from "~/features/shapes";
import type { Day } from "~/core/units";
import { words } from "~/words";
import { SessionList } from "./session-list";
import styles from "./session-list.module.css";

export interface LogPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly log: readonly LogEntry[];
  readonly byHand: readonly {
    readonly id: string;
    readonly day: Day;
    readonly minutes: number;
    /** The item of the week that it was for; empty when it was none. */
    readonly title: string;
    readonly note: string;
  }[];
}

const minutesOf = ({ blocks, tasks }: LogEntry) =>
  blocks.reduce((sum, { minutes }) => sum + minutes, 0) +
  tasks.reduce((sum, { seconds }) => sum + seconds / 60, 0);

export function LogPage({ studioId, person, log, byHand }: LogPageProps) {
  const formats = useFormats();
  const sum = [...log.map(minutesOf), ...byHand.map(({ minutes }) => minutes)];
  const minutes = Math.round(sum.reduce((all, each) => all + each, 0));
  const days = new Set([...log, ...byHand].map(({ day }) => day)).size;
  return (
    <Page
      title={words.log.title}
      lead={log.length > 0 ? words.log.inAll(log.length, minutes, days) : undefined}
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
    >
      {log.length === 0 ? (
        <Empty>{words.log.empty}</Empty>
      ) : (
        <Section title={words.log.sessions}>
          <SessionList studioId={studioId} entries={log} />
        </Section>
      )}
      {byHand.length > 0 && (
        <Section title={words.log.byHand}>
          <ul className={styles.byHand}>
            {byHand.map(({ id, day, minutes: long, title, note }) => (
              <li key={id}>
                <strong>{formats.shortDay(day)}</strong> {words.minutes(long)}{" "}
                {[title, note].filter(Boolean).join(": ")}
              </li>
            ))}
          </ul>
        </Section>
      )}
    </Page>
  );
}
