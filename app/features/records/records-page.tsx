import Button from "@mui/material/Button";
import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import { recordsWords } from "~/words/records";
import { WithRecordings } from "./with-recordings";
import styles from "./records.module.css";

interface RecordsPageProps {
  readonly studioId: string;
  readonly teaches: boolean;
  /** Whether whoever looks may hear the recordings; and how many bytes they are. */
  readonly hears: boolean;
  readonly soundBytes: number;
  readonly person: { readonly id: string; readonly name: string };
  readonly pieces: readonly { readonly id: string; readonly title: string }[];
  readonly belongings: Parameters<typeof student.deleteWhat>[0] & {
    readonly parents: readonly string[];
  };
  readonly deletable: boolean;
  readonly refused: Refused | undefined;
}

const { student } = recordsWords;
const TABLES = Object.keys(student.table) as (keyof typeof student.table)[];

/** Everything of a student, to be taken along; and how it is deleted. */
export function RecordsPage(props: RecordsPageProps) {
  const { studioId, teaches, hears, person, pieces, belongings, soundBytes } = props;
  const here = `/studio/${studioId}/students/${person.id}`;
  return (
    <Page
      title={student.title(person.name)}
      lead={student.lead}
      back={{ to: here, label: person.name }}
    >
      <Section title={student.all}>
        <p className={styles.said}>{student.allLead}</p>
        <div className={styles.exports}>
          <Button href={`${here}/all.zip`} download variant="contained">
            {student.allDo}
          </Button>
          {hears && <WithRecordings href={`${here}/all.zip`} bytes={soundBytes} />}
        </div>
      </Section>
      <Section title={student.tables}>
        <p className={styles.soft}>{student.tablesLead}</p>
        <ul className={styles.files}>
          {TABLES.map((table) => (
            <li key={table}>
              <a href={`${here}/tables/${table}`} download>
                {student.table[table]}
              </a>
            </li>
          ))}
        </ul>
      </Section>
      <Section title={student.pieces}>
        <p className={styles.soft}>{pieces.length > 0 ? student.piecesLead : student.noPieces}</p>
        <ul className={styles.files}>
          {pieces.map(({ id, title }) => (
            <li key={id}>
              {title}
              <span>
                <a
                  href={`${here}/pieces/${id}/as/musicxml`}
                  download
                  aria-label={student.musicXmlOf(title)}
                >
                  {student.musicXml}
                </a>
                <a
                  href={`${here}/pieces/${id}/as/json`}
                  download
                  aria-label={student.jsonOf(title)}
                >
                  {student.json}
                </a>
              </span>
            </li>
          ))}
        </ul>
      </Section>
      {teaches && props.deletable && (
        <Section title={student.delete}>
          <p className={styles.said}>{student.deleteWhat(belongings)}</p>
          {belongings.parents.length > 0 && (
            <p className={styles.said}>{student.deleteParents(belongings.parents)}</p>
          )}
          <Form method="post" className={styles.delete} noValidate>
            <Field
              name="name"
              label={student.deleteName(person.name)}
              refused={props.refused}
              autoComplete="off"
            />
            <SubmitButton variant="outlined" color="error" size="large">
              {student.deleteDo}
            </SubmitButton>
          </Form>
        </Section>
      )}
    </Page>
  );
}
