import Button from "@mui/material/Button";
import { useId } from "react";
import { Form } from "react-router";
import { useFormats } from "~/components/locale";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import { Comment } from "./comment";
import { ANSWER } from "./desk-ids";
import type { AsksForTake, HandedIn } from "./hand-in-shapes";
import { Line, useNewId } from "./line";
import { Spoken } from "./spoken";
import styles from "./take.module.css";

const { handIn: said } = listenWords;

interface HandInProps {
  /** Where the take is had. */
  readonly address: string;
  readonly asks: readonly AsksForTake[];
  readonly handedIn: readonly HandedIn[];
  readonly bars: readonly number[];
  readonly teaches: boolean;
  /** What can be said on the teacher's scale, the best first. */
  readonly ratings: readonly string[];
  readonly refusal: string | undefined;
}

/** Handing a take in, and what the teacher says of it. */
export function HandIn(props: HandInProps) {
  const { asks, handedIn, teaches, refusal } = props;
  return (
    <>
      {refusal && <p role="alert">{refusal}</p>}
      {handedIn.map((one, index) => (
        <One key={one.id} {...props} one={one} first={index === 0} />
      ))}
      {!teaches && asks.map((item) => <Ask key={item.id} item={item} />)}
      {handedIn.length === 0 && (teaches || asks.length === 0) && (
        <p className={styles.soft}>{teaches ? said.notYet : said.nothing}</p>
      )}
    </>
  );
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
        {item.replaces && ` ${said.replaces(formats.moment(item.replaces))}`}
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

type OneProps = Pick<HandInProps, "address" | "bars" | "teaches" | "ratings"> & {
  readonly one: HandedIn;
  /** The keys of the listening desk lead to its forms. */
  readonly first: boolean;
};

function One({ one, first, address, bars, teaches, ratings }: OneProps) {
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
          {one.comments.map(({ id, bar, text, spoken }) => (
            <li key={id}>
              <strong>{bar === null ? said.whole : words.capital(words.bars(bar, bar))}</strong>{" "}
              {text}
              {spoken && (
                <Spoken label={said.hearComment(bar)} url={`${address}/comments/${id}/sound`} />
              )}
            </li>
          ))}
        </ul>
      )}
      {teaches && (
        <>
          <Comment key={one.comments.length} handIn={one.id} bars={bars} first={first} />
          <Answer one={one} ratings={ratings} first={first} />
        </>
      )}
    </div>
  );
}

interface AnswerProps {
  readonly one: HandedIn;
  /** What can be said on the teacher's scale. */
  readonly ratings: readonly string[];
  readonly first: boolean;
}

function Answer({ one: { id: handIn, rating }, ratings, first }: AnswerProps) {
  const id = useId();
  // What was said on an earlier scale stays to be chosen.
  const all = rating === "" || ratings.includes(rating) ? ratings : [rating, ...ratings];
  return (
    <Form method="post" className={styles.handIn}>
      <input type="hidden" name="handIn" value={handIn} />
      <input type="hidden" name="what" value="answer" />
      {all.length > 0 ? (
        <div className={styles.field}>
          <label htmlFor={id}>{said.rating}</label>
          <select id={id} name="rating" defaultValue={rating}>
            <option value="">{said.unrated}</option>
            {all.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </div>
      ) : (
        <input type="hidden" name="rating" value="" />
      )}
      <Button
        id={first ? ANSWER.heard : undefined}
        type="submit"
        name="answer"
        value="heard"
        variant="contained"
      >
        {said.heard}
      </Button>
      <Button
        id={first ? ANSWER.again : undefined}
        type="submit"
        name="answer"
        value="again"
        variant="outlined"
      >
        {said.again}
      </Button>
    </Form>
  );
}
