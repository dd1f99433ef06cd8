import Button from "@mui/material/Button";
import { useState } from "react";
import { useFetcher } from "react-router";
import { DayField } from "~/components/day-field";
import type { Refused } from "~/components/field";
import type { Day } from "~/core/units";
import { words } from "~/words";
import { changeWords } from "~/words/change-week";
import styles from "./week-page.module.css";

interface AwayProps {
  readonly home: string;
  readonly today: Day;
}

const { away: said } = changeWords;

/** Days on which nothing is asked, since somebody is away or ill. */
export function Away({ home, today }: AwayProps) {
  const fetcher = useFetcher<Refused | { readonly away: true }>();
  const [open, setOpen] = useState(false);
  const [from, setFrom] = useState<Day | "">(today);
  const [until, setUntil] = useState<Day | "">(today);
  const { data } = fetcher;
  const [seen, setSeen] = useState<typeof data>(undefined);
  if (data !== seen) {
    setSeen(data);
    if (data && "away" in data) setOpen(false);
  }
  const errors = data && "errors" in data ? data.errors : {};
  if (!open) {
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        {said.title}
      </Button>
    );
  }
  return (
    <fetcher.Form method="post" action={`${home}/away`} className={styles.away}>
      <strong className={styles.awayTitle}>{said.title}</strong>
      <DayField
        label={said.from}
        name="from"
        value={from}
        min={today}
        onChange={setFrom}
        error={errors["from"]}
      />
      <DayField
        label={said.until}
        name="until"
        value={until}
        min={today}
        onChange={setUntil}
        error={errors["until"]}
      />
      <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"}>
        {said.save}
      </Button>
      <Button variant="outlined" onClick={() => setOpen(false)}>
        {words.cancel}
      </Button>
    </fetcher.Form>
  );
}
