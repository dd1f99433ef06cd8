import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import type { Place } from "~/core/judge";
import { adviceWords as said, changeTold } from "~/words/advice";
import type { AdviceShown } from "./advice-shapes";
import styles from "./advice.module.css";

/** Sends what is done with advice; `key`: of the advice that is then done with. */
export type Send = (fields: Record<string, string>, key?: string) => void;

export interface OffersProps {
  readonly home: string;
  readonly advice: AdviceShown;
  readonly teaches: boolean;
  /** How it is told, with where. */
  readonly told: string;
  readonly title: string;
  readonly tempo: (bpm: number) => string;
  readonly send: Send;
  /** Puts it into next week's items; where a week is being put together. */
  readonly prepare?: ((advice: AdviceShown) => void) | undefined;
}

function placeOf(place: Place, home: string, { passage }: AdviceShown): string {
  const places: Record<Place, string> = {
    times: `${home}/times`,
    lesson: `${home}/lesson`,
    today: `${home}/today`,
    cut: passage ? `${home}/pieces/${passage.pieceId}` : home,
  };
  return places[place];
}

/** What can be done with a piece of advice, a press each. */
export function Offers(props: OffersProps) {
  const { home, advice, teaches, title, tempo, send, prepare } = props;
  const { passageId, changes, places, key, rule } = advice;
  // A teacher changes what is set; a student changes today.
  const act = teaches ? "do" : "today";
  const here = (place: Place) => (prepare ? place !== "lesson" : true);
  return (
    <div className={styles.offers}>
      {passageId !== null &&
        changes.map((change) => (
          <Button
            key={JSON.stringify(change)}
            variant="outlined"
            size="small"
            onClick={() =>
              send({ act, rule, passage: passageId, change: JSON.stringify(change) }, key)
            }
          >
            {changeTold(change, tempo)}
          </Button>
        ))}
      {places
        .filter((place) => (teaches ? here(place) : place === "today"))
        .map((place) => (
          <Button
            key={place}
            component={Link}
            to={placeOf(place, home, advice)}
            variant="outlined"
            size="small"
          >
            {said.places[place]}
          </Button>
        ))}
      {prepare && passageId !== null && (
        <Button
          variant="outlined"
          size="small"
          aria-label={said.prepareOf(title)}
          onClick={() => prepare(advice)}
        >
          {said.prepare}
        </Button>
      )}
      {!teaches && changes.length === 0 && <Ask {...props} />}
      <Button
        size="small"
        color="inherit"
        aria-label={said.dismissOf(title)}
        onClick={() => send({ act: "dismiss", key }, key)}
      >
        {said.dismiss}
      </Button>
    </div>
  );
}

/** What a student can't change for a day is taken to the lesson. */
function Ask({ advice, told, send }: Pick<OffersProps, "advice" | "told" | "send">) {
  // The same press twice asks once.
  const [id] = useState(() => crypto.randomUUID());
  return (
    <Button
      variant="outlined"
      size="small"
      onClick={() => send({ act: "ask", id, text: said.asked(told) }, advice.key)}
    >
      {said.ask}
    </Button>
  );
}
