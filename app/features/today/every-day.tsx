import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import type { Refused } from "~/components/field";
import type { MustDo } from "~/core/session";
import { planWords } from "~/words/plan";
import { AddPart } from "./add-part";
import styles from "./today.module.css";

const { today } = planWords;
const USUAL_MINUTES = 3;

/** What is done even on a short day. */
export function EveryDay({ mustDo }: { mustDo: readonly MustDo[] }) {
  const fetcher = useFetcher<Refused>();
  const keep = (all: readonly MustDo[]) =>
    void fetcher.submit({ act: "must-do", mustDo: JSON.stringify(all) }, { method: "post" });
  const refused = fetcher.data && "errors" in fetcher.data ? fetcher.data : undefined;
  return (
    <>
      <ul className={styles.everyDay}>
        {mustDo.map(({ id, text, minutes }) => (
          <li key={id}>
            <strong>{text}</strong> {planWords.minutes(minutes)}
            <Button
              size="small"
              aria-label={today.takeOff(text)}
              onClick={() => keep(mustDo.filter((each) => each.id !== id))}
            >
              {today.takeOffShort}
            </Button>
          </li>
        ))}
        {mustDo.length === 0 && <li className={styles.soft}>{today.noEveryDay}</li>}
      </ul>
      <AddPart
        label={today.addEveryDay}
        onAdd={(kind, text) =>
          keep([...mustDo, { id: crypto.randomUUID(), kind, text, minutes: USUAL_MINUTES }])
        }
      />
      {refused && <p role="alert">{Object.values(refused.errors)[0]}</p>}
    </>
  );
}
