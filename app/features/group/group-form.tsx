import MenuItem from "@mui/material/MenuItem";
import { ChooseStudents, type StudentToChoose } from "~/components/choose-students";
import type { Refused } from "~/components/field";
import { FormField } from "~/components/form-field";
import { SentForm } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import { GROUP_KINDS, type GroupKind } from "~/core/week";
import { groupFormSchema } from "~/forms/group";
import { groupWords as said } from "~/words/groups";
import styles from "./group.module.css";

interface GroupFormProps {
  readonly group: {
    readonly name: string;
    readonly kind: GroupKind;
    readonly members: readonly string[];
  };
  readonly students: readonly StudentToChoose[];
  readonly refused: Refused | undefined;
  readonly submit: string;
}

/** What a group is called, what it is, and who belongs to it. */
export function GroupForm({ group, students, refused, submit }: GroupFormProps) {
  const { name, kind, members } = group;
  return (
    <SentForm
      schema={groupFormSchema}
      values={{ name, kind }}
      refused={refused}
      className={styles.form}
    >
      <FormField name="name" label={said.name} className={styles.half!} />
      <FormField name="kind" select label={said.kind} className={styles.half!}>
        {GROUP_KINDS.map((each) => (
          <MenuItem key={each} value={each}>
            {said.kinds[each]}
          </MenuItem>
        ))}
      </FormField>
      <ChooseStudents
        name="member"
        label={said.members}
        students={students}
        chosen={members}
        error={refused?.errors.member}
      />
      <SubmitButton variant="contained">{submit}</SubmitButton>
    </SentForm>
  );
}
