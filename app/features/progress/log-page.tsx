import { Empty, Page, Section } from "~/components/page";
import type { LogEntry } from "~/features/shapes";
import { words } from "~/words";
import { SessionList } from "./session-list";

export interface LogPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly log: readonly LogEntry[];
}

const minutesOf = ({ blocks }: LogEntry) => blocks.reduce((sum, { minutes }) => sum + minutes, 0);

export function LogPage({ studioId, person, log }: LogPageProps) {
  const minutes = Math.round(log.reduce((sum, entry) => sum + minutesOf(entry), 0));
  const days = new Set(log.map(({ day }) => day)).size;
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
    </Page>
  );
}
