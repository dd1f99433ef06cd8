import Button from "@mui/material/Button";
import { lazy, Suspense, useState } from "react";
import { useNavigate } from "react-router";
import { useAlive } from "~/components/alive";
import { Choice } from "~/components/choice";
import { DayField } from "~/components/day-field";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import { addDays } from "~/core/units";
import { gradeOf } from "~/core/week";
import { reportWords as said } from "~/words/report";
import type { Report } from "./report-shapes";
import styles from "./report.module.css";
import { RuleForm } from "./rule-form";
import { Sums } from "./sums";

const ReportGrid = lazy(() =>
  import("./report-grid").then(({ ReportGrid: grid }) => ({ default: grid })),
);

const SPANS = { "four-weeks": 28, quarter: 91, year: 365 } as const;

interface ReportPageProps extends Report {
  readonly studioId: string;
  readonly kept: boolean;
  readonly refusal: string | undefined;
}

/** Practice over a period: figures to compare, the rule that grades them, each sum explained. */
export function ReportPage(props: ReportPageProps) {
  const { studioId, query, who, kept, refusal } = props;
  const formats = useFormats();
  const alive = useAlive();
  const [rule, setRule] = useState(props.rule);
  const lines = props.lines.map((line) => ({
    ...line,
    grade: gradeOf(rule, line),
  }));
  const search = new URLSearchParams(query).toString();
  const file = (kind: string) => `/studio/${studioId}/report.${kind}?${search}`;
  return (
    <Page
      title={said.title}
      lead={said.lead(who ?? said.everyone, formats.longDay(query.from), formats.longDay(query.to))}
      back={{ to: `/studio/${studioId}`, label: said.week }}
      actions={
        <>
          <Button component="a" href={file("csv")} download variant="outlined">
            {said.csv}
          </Button>
          <Button component="a" href={file("pdf")} variant="outlined">
            {said.pdf}
          </Button>
        </>
      }
    >
      <Asked {...props} />
      {lines.length === 0 ? (
        <Empty>{said.none}</Empty>
      ) : (
        <>
          <div className={styles.grid} style={{ minHeight: 96 + 37 * lines.length }}>
            {alive && (
              <Suspense fallback={null}>
                <ReportGrid lines={lines} />
              </Suspense>
            )}
          </div>
          <p className={styles.soft}>
            {said.regularityTold} {said.itemsTold} {said.byHandTold}
          </p>
          <div className={styles.columns}>
            <Section title={said.rule.title}>
              <RuleForm rule={rule} onChange={setRule} kept={kept} refusal={refusal} />
            </Section>
            <Section title={said.sums.title}>
              <Sums lines={lines} />
            </Section>
          </div>
        </>
      )}
    </Page>
  );
}

function Asked({ query, groups, students }: ReportPageProps) {
  const navigate = useNavigate();
  const ask = (change: Partial<Report["query"]>) => {
    const next = new URLSearchParams({ ...query, ...change });
    void navigate(`?${next.toString()}`, { preventScrollReset: true });
  };
  const chosen = query.group
    ? `group ${query.group}`
    : query.person
      ? `person ${query.person}`
      : "";
  const names = new Map([
    ["", said.everyone],
    ...groups.map(({ id, name }): [string, string] => [`group ${id}`, name]),
    ...students.map(({ id, name }): [string, string] => [`person ${id}`, name]),
  ]);
  return (
    <div className={styles.asked} role="search">
      <Choice
        label={said.who}
        value={chosen}
        options={[...names.keys()]}
        told={(key) => names.get(key) ?? ""}
        onChange={(key) => {
          const [kind, id = ""] = key.split(" ");
          ask({ group: kind === "group" ? id : "", person: kind === "person" ? id : "" });
        }}
      />
      <DayField label={said.from} value={query.from} onChange={(from) => from && ask({ from })} />
      <DayField label={said.to} value={query.to} onChange={(to) => to && ask({ to })} />
      {Object.entries(SPANS).map(([name, days]) => (
        <Button
          key={name}
          variant="text"
          onClick={() => ask({ from: addDays(query.to, 1 - days) })}
        >
          {said.spans[name as keyof typeof SPANS]}
        </Button>
      ))}
    </div>
  );
}
