import { Form } from "react-router";
import type { StudentToChoose } from "~/components/choose-students";
import type { Refused } from "~/components/field";
import { Page } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { GroupKind } from "~/core/week";
import { groupWords as said } from "~/words/groups";
import { GroupForm } from "./group-form";
import styles from "./group.module.css";

interface MembersPageProps {
  readonly studioId: string;
  readonly group: {
    readonly id: string;
    readonly name: string;
    readonly kind: GroupKind;
    readonly members: readonly string[];
  };
  readonly students: readonly StudentToChoose[];
  readonly refused: Refused | undefined;
}

/** Who belongs to a group, and what it is called. */
export function MembersPage({ studioId, group, students, refused }: MembersPageProps) {
  return (
    <Page
      title={said.membersOf(group.name)}
      lead={said.newcomers}
      back={{ to: `/studio/${studioId}/groups/${group.id}`, label: group.name }}
    >
      <GroupForm group={group} students={students} refused={refused} submit={said.save} />
      <Form method="post" className={styles.removing}>
        <span className={styles.soft}>{said.removing}</span>
        <SubmitButton name="act" value="delete" variant="text" color="error">
          {said.remove}
        </SubmitButton>
      </Form>
    </Page>
  );
}
