import Button from "@mui/material/Button";
import { useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import { Field, type Refused } from "~/components/field";
import { planWords } from "~/words/plan";
import styles from "./today.module.css";

const { today } = planWords;

/** A question for the lesson, asked when it comes up. */
export function AskQuestion() {
  const fetcher = useFetcher<Refused | { readonly done: string }>();
  const [id, setId] = useState("");
  const form = useRef<HTMLFormElement>(null);
  const { data } = fetcher;
  const refused = data && "errors" in data ? data : undefined;
  const asked = data && "done" in data;
  // Made in the browser, anew after each: sent twice, it is asked once.
  useEffect(() => {
    if (asked) form.current?.reset();
    setId(crypto.randomUUID());
  }, [asked, data]);
  return (
    <fetcher.Form method="post" className={styles.add} ref={form} noValidate>
      <input type="hidden" name="act" value="ask" />
      <input type="hidden" name="id" value={id} />
      <Field
        name="text"
        label={planWords.ratings.question}
        refused={refused}
        size="small"
        fullWidth={false}
      />
      <Button type="submit" variant="outlined" disabled={fetcher.state !== "idle"}>
        {today.askIt}
      </Button>
      {asked && <p role="status">{today.isAsked}</p>}
    </fetcher.Form>
  );
}
