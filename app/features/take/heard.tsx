import Button from "@mui/material/Button";
import { Form } from "react-router";
import type { Ear } from "~/core/judge";
import { listenWords as said } from "~/words/listen";
import styles from "./take.module.css";

/** Says what was heard before the verdict at the stand is shown: a touch for each flawed bar. */
export function SayHeard({ bars }: { readonly bars: readonly number[] }) {
  return (
    <Form method="post" className={styles.hear}>
      <p>{said.hearLead}</p>
      <div className={styles.marks}>
        {bars.map((bar) => (
          <label key={bar}>
            <input type="checkbox" name="flawed" value={bar} aria-label={said.flawIn(bar)} />
            <span aria-hidden>{bar}</span>
          </label>
        ))}
      </div>
      <Button type="submit" name="what" value="heard" variant="contained">
        {said.heardIt}
      </Button>
    </Form>
  );
}

interface HeardProps {
  readonly flawed: readonly number[];
  readonly verdict: "clean" | "flawed" | null;
  readonly flawBar: number | null;
  readonly ear: Ear;
}

/** What was heard beside what was said at the stand. */
export function Heard({ flawed, verdict, flawBar, ear }: HeardProps) {
  return (
    <div role="status">
      <p>
        {said.youHeard(flawed)} {said.atTheStand(verdict, flawBar)}
      </p>
      <EarTold ear={ear} />
    </div>
  );
}

export function EarTold({ ear: { listened, kind, hard } }: { readonly ear: Ear }) {
  if (listened === 0) return null;
  return (
    <p className={styles.soft}>
      {said.ear(listened - kind - hard, listened)} {kind > 0 && said.earKind(kind)}{" "}
      {hard > 0 && said.earHard(hard)}
    </p>
  );
}
