import Button from "@mui/material/Button";
import { useId, useState } from "react";
import { Form } from "react-router";
import { useFormats } from "~/components/locale";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import type { AsksForTake, HandedIn } from "./hand-in-shapes";
import styles from "./take.module.css";

const { handIn: said } = listenWords;

interface HandInProps {
  readonly asks: readonly AsksForTake[];
  readonly handedIn: readonly HandedIn[];
  readonly bars: readonly number[];
  readonly teaches: boolean;
  readonly refusal: string | undefined;
}

/** Handing a take in, and what the teacher says of it. */
export function HandIn({ asks, handedIn, bars, teaches, refusal }: HandInProps) {
  return (
    <>
      {refusal && <p role="alert">{refusal}</p>}
      {handedIn.map((one) => (
        <One key={one.id} one={one} bars={bars} teaches={teaches} />
      ))}
      {!teaches && asks.map((item) => <Ask key={item.id} item={item} />)}
      {handedIn.length === 0 && (teaches || asks.length === 0) && (
        <p className={styles.soft}>{teaches ? said.notYet : said.nothing}</p>
      )}
    </>
  );
}

/** Its id is made here, so that sent twice it is handed in once. */
function useNewId(): string {
  const [id] = useState(() => crypto.randomUUID());
  return id;
}

function Ask({ item }: { readonly item: AsksForTake }) {
  const id = useNewId();
  const formats = useFormats();
  return (
    <Form method="post" className={styles.handIn}>
      <p>
        <strong>{item.title}</strong>
        {item.focus && `: ${item.focus}`}.{" "}
        {(item.late ? said.wasDue : said.due)(formats.longDay(item.due))}
      </p>
      <input type="hidden" name="id" value={id} />
      <input type="hidden" name="item" value={item.id} />
      <Line name="line" label={said.line} most={200} />
      <Button type="submit" name="what" value="hand-in" variant="contained">
        {said.doIt}
      </Button>
    </Form>
  );
}

function Line(props: { name: string; label: string; most: number; required?: boolean }) {
  const id = useId();
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{props.label}</label>
      <input id={id} name={props.name} maxLength={props.most} required={props.required} />
    </div>
  );
}

interface OneProps {
  readonly one: HandedIn;
  readonly bars: readonly number[];
  readonly teaches: boolean;
}

function One({ one, bars, teaches }: OneProps) {
  const formats = useFormats();
  return (
    <div className={styles.handedIn}>
      <p>
        {said.handedIn(one.title, formats.moment(one.at))}{" "}
        {one.late && <strong>{said.late}</strong>}{" "}
        <strong>{said.answer[one.answer ?? "waiting"]}</strong>
        {one.rating && ` · ${one.rating}`}
      </p>
      {one.line && <blockquote>{one.line}</blockquote>}
      {one.comments.length > 0 && (
        <ul className={styles.comments}>
          {one.comments.map(({ id, bar, text }) => (
            <li key={id}>
              <strong>{bar === null ? said.whole : words.capital(words.bars(bar, bar))}</strong>{" "}
              {text}
            </li>
          ))}
        </ul>
      )}
      {teaches && (
        <>
          <Comment key={one.comments.length} handIn={one.id} bars={bars} />
          <Answer handIn={one.id} rating={one.rating} />
        </>
      )}
    </div>
  );
}

function Comment({ handIn, bars }: { readonly handIn: string; readonly bars: readonly number[] }) {
  const id = useNewId();
  const barId = useId();
  return (
    <Form method="post" className={styles.handIn}>
      <input type="hidden" name="id" value={id} />
      <input type="hidden" name="handIn" value={handIn} />
      <div className={styles.field}>
        <label htmlFor={barId}>{said.bar}</label>
        <select id={barId} name="bar">
          <option value="">{said.whole}</option>
          {bars.map((bar) => (
            <option key={bar} value={bar}>
              {bar}
            </option>
          ))}
        </select>
      </div>
      <Line name="text" label={said.comment} most={500} required />
      <Button type="submit" name="what" value="comment" variant="outlined">
        {said.pin}
      </Button>
    </Form>
  );
}

function Answer({ handIn, rating }: { readonly handIn: string; readonly rating: string }) {
  const id = useId();
  return (
    <Form method="post" className={styles.handIn}>
      <input type="hidden" name="handIn" value={handIn} />
      <input type="hidden" name="what" value="answer" />
      <div className={styles.field}>
        <label htmlFor={id}>{said.rating}</label>
        <input id={id} name="rating" maxLength={40} defaultValue={rating} />
      </div>
      <Button type="submit" name="answer" value="heard" variant="contained">
        {said.heard}
      </Button>
      <Button type="submit" name="answer" value="again" variant="outlined">
        {said.again}
      </Button>
    </Form>
  );
}
