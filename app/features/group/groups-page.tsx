import { Link } from "react-router";
import type { StudentToChoose } from "~/components/choose-students";
import type { Refused } from "~/components/field";
import { Empty, Page, Section } from "~/components/page";
import type { GroupKind } from "~/core/week";
import { groupWords as said } from "~/words/groups";
import { GroupForm } from "./group-form";
import styles from "./group.module.css";

interface GroupsPageProps {
  readonly studioId: string;
  readonly groups: readonly {
    readonly id: string;
    readonly name: string;
    readonly kind: GroupKind;
    readonly members: readonly string[];
  }[];
  readonly students: readonly StudentToChoose[];
  readonly refused: Refused | undefined;
}

/** The groups of the room, and a new one. */
export function GroupsPage({ studioId, groups, students, refused }: GroupsPageProps) {
  return (
    <Page
      title={said.title}
      lead={said.lead}
      back={{ to: `/studio/${studioId}`, label: said.week }}
    >
      {groups.length === 0 ? (
        <Empty>{said.none}</Empty>
      ) : (
        <ul className={styles.groups}>
          {groups.map(({ id, name, kind, members }) => (
            <li key={id}>
              <Link to={`/studio/${studioId}/groups/${id}`}>{name}</Link>
              <span className={styles.soft}>{said.told(kind, members.length)}</span>
            </li>
          ))}
        </ul>
      )}
      <Section title={said.add}>
        <GroupForm
          key={groups.length}
          group={{ name: "", kind: "class", members: [] }}
          students={students}
          refused={refused}
          submit={said.make}
        />
      </Section>
    </Page>
  );
}
