import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { useState } from "react";
import { Form } from "react-router";
import { Choice } from "~/components/choice";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import {
  againstRow,
  guessed,
  MOST_ROWS,
  TABLE_FIELDS,
  TABLE_KINDS,
  typedRow,
  type Mapping,
  type TableField,
  type TableKind,
} from "~/forms/table";
import { recordsWords } from "~/words/records";
import { tableWords } from "~/words/table-in";
import { readCsv } from "./read-csv";
import { TablePreview } from "./table-preview";
import styles from "./records.module.css";

interface TablePageProps {
  readonly studioId: string;
  readonly students: readonly { readonly id: string; readonly name: string }[];
  readonly answer: { readonly brought: number } | { readonly sentence: string } | undefined;
}

interface Chosen {
  readonly cells: readonly (readonly string[])[];
  readonly cut: boolean;
  /** What was said last before it was chosen. */
  readonly before: TablePageProps["answer"];
}

/** A table brought in: its columns are named, what comes of it is seen before anything is written. */
export function TablePage({ studioId, students, answer }: TablePageProps) {
  const [chosen, setChosen] = useState<Chosen | undefined>(undefined);
  const [unread, setUnread] = useState("");
  const choose = async (file: File | undefined) => {
    const read = file && (await readCsv(file));
    setUnread(
      read === "too-large" ? tableWords.tooLarge : read === "unread" ? tableWords.unread : "",
    );
    setChosen(
      typeof read === "object" ? { cells: read.rows, cut: read.cut, before: answer } : undefined,
    );
  };
  // What is in does not stand there to be brought in once more.
  const isIn = answer && "brought" in answer && chosen?.before !== answer;
  return (
    <Page
      title={tableWords.title}
      lead={tableWords.lead}
      back={{ to: `/studio/${studioId}/room`, label: recordsWords.room.title }}
    >
      <div className={styles.bring}>
        <label>
          {tableWords.file}
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            onChange={({ target }) => void choose(target.files?.[0])}
          />
        </label>
        {unread && <p role="alert">{unread}</p>}
        <p role="status">
          {answer && "brought" in answer ? tableWords.brought(answer.brought) : ""}
        </p>
        {answer && "sentence" in answer && <p role="alert">{answer.sentence}</p>}
      </div>
      {chosen && !isIn && (
        <Columns key={JSON.stringify(chosen.cells[0])} chosen={chosen} students={students} />
      )}
    </Page>
  );
}

/** What the columns hold, and what comes of it. */
function Columns({
  chosen,
  students,
}: {
  readonly chosen: Chosen;
  readonly students: TablePageProps["students"];
}) {
  const [first = []] = chosen.cells;
  const [kind, setKind] = useState<TableKind>(
    guessed("pieces", first).title === undefined ? "students" : "pieces",
  );
  const [headed, setHeaded] = useState(Object.keys(guessed(kind, first)).length > 0);
  const [mapping, setMapping] = useState<Mapping>(() => guessed(kind, first));
  const [otherwise, setOtherwise] = useState(students[0]?.id ?? "");
  const changeKind = (next: TableKind) => {
    setKind(next);
    setMapping(guessed(next, first));
  };
  const rows = chosen.cells.slice(headed ? 1 : 0, MOST_ROWS + (headed ? 1 : 0)).map((cells) => {
    const typed = typedRow(cells, mapping);
    return { typed, against: againstRow(kind, typed, { students }, otherwise) };
  });
  const good = rows.filter(({ against }) => against === undefined);
  const options = ["", ...first.map((_, at) => String(at))];
  const set = (field: TableField) => (column: string) => {
    const others = Object.entries(mapping).filter(([each]) => each !== field);
    const own = column === "" ? [] : [[field, Number(column)]];
    setMapping(Object.fromEntries([...others, ...own]) as Mapping);
  };
  const table = JSON.stringify({ kind, otherwise, rows: good.map(({ typed }) => typed) });
  return (
    <>
      <Section title={tableWords.columns}>
        <div className={styles.columns}>
          <Choice
            label={tableWords.what}
            value={kind}
            options={TABLE_KINDS}
            told={(each) => tableWords.kinds[each]}
            onChange={changeKind}
          />
          {TABLE_FIELDS[kind].map((field: TableField) => (
            <Choice
              key={field}
              label={tableWords.fields[field]}
              value={String(mapping[field] ?? "")}
              options={options}
              told={(each) =>
                each === ""
                  ? tableWords.none
                  : tableWords.column(Number(each), headed ? (first[Number(each)] ?? "") : "")
              }
              onChange={set(field)}
            />
          ))}
          {kind === "pieces" && students.length > 0 && (
            <Choice
              label={tableWords.otherwise}
              value={otherwise}
              options={students.map(({ id }) => id)}
              told={(id) => students.find((each) => each.id === id)?.name ?? ""}
              onChange={setOtherwise}
            />
          )}
          <FormControlLabel
            control={<Checkbox checked={headed} onChange={(_, on) => setHeaded(on)} />}
            label={tableWords.headed}
          />
        </div>
        {kind === "pieces" && <p className={styles.soft}>{tableWords.usual}</p>}
      </Section>
      <Section title={tableWords.preview}>
        <TablePreview kind={kind} rows={rows} />
        {chosen.cut && <p className={styles.soft}>{tableWords.tooMany(MOST_ROWS)}</p>}
        {good.length < rows.length && good.length > 0 && (
          <p className={styles.soft}>{tableWords.left(rows.length - good.length)}</p>
        )}
        <Form method="post">
          <input type="hidden" name="table" value={table} />
          {good.length > 0 ? (
            <SubmitButton variant="contained">{tableWords.bring(good.length)}</SubmitButton>
          ) : (
            <p className={styles.soft}>{tableWords.nothing}</p>
          )}
        </Form>
      </Section>
    </>
  );
}
