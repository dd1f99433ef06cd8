import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { useEffect, useId, useState } from "react";
import { Form } from "react-router";
import { SubmitButton } from "~/components/submit-button";
import type { BarPlace } from "~/core/listen";
import { demonstrationWords } from "~/words/demonstrations";
import styles from "./demonstration.module.css";

const { mark: said } = demonstrationWords;

interface MarkBarsProps {
  readonly id: string;
  /** Where it is just now, in seconds; undefined while it does not play. */
  readonly playsAt: () => number | undefined;
  readonly onHear: (at: number) => void;
  readonly places: readonly BarPlace[];
  readonly bars: number;
  readonly kept: boolean;
  readonly onChange: (places: readonly BarPlace[]) => void;
}

/** Bar lines, tapped while it plays or typed, a few being enough. */
export function MarkBars({ id, playsAt, onHear, places, bars, kept, onChange }: MarkBarsProps) {
  const [from, setFrom] = useState(places[0]?.bar ?? 1);
  const [opened] = useState(places.length === 0);
  const fromId = useId();
  const tap = () => {
    const now = playsAt();
    if (now === undefined) return;
    const at = Math.round(now * 1000) / 1000;
    const last = places.at(-1);
    if (last && at <= last.at) return;
    const bar = last ? last.bar + 1 : from;
    if (bar <= bars + 1) onChange([...places, { bar, at }]);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement && event.target.type !== "checkbox";
      if (event.key.toLowerCase() !== "t" || typing || event.ctrlKey || event.metaKey) return;
      // Of several demonstrations the one that plays is meant.
      tap();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  });
  const change = (index: number, part: Partial<BarPlace>) =>
    onChange(places.map((place, n) => (n === index ? { ...place, ...part } : place)));
  const add = () => {
    const last = places.at(-1);
    onChange([...places, last ? { bar: last.bar + 1, at: last.at + 2 } : { bar: from, at: 0 }]);
  };
  return (
    <details className={styles.mark} open={opened}>
      <summary>{said.title}</summary>
      <p className={styles.soft}>{said.lead}</p>
      <div className={styles.taps}>
        <label htmlFor={fromId}>{said.from}</label>
        <input
          id={fromId}
          type="number"
          min={1}
          max={bars}
          value={from}
          disabled={places.length > 0}
          onChange={({ target }) => setFrom(Math.max(1, Number(target.value)))}
        />
        <Button variant="contained" onClick={tap}>
          {said.tap}
        </Button>
        <Button onClick={() => onChange(places.slice(0, -1))} disabled={places.length === 0}>
          {said.undo}
        </Button>
        <Button onClick={() => onChange([])} disabled={places.length === 0}>
          {said.again}
        </Button>
        <Button onClick={add}>{said.add}</Button>
      </div>
      <ul className={styles.places}>
        {places.map((place, n) => (
          <li key={n}>
            <label>
              {said.bar}
              <input
                type="number"
                min={1}
                max={bars + 1}
                value={place.bar}
                onChange={({ target }) => change(n, { bar: Number(target.value) })}
              />
            </label>
            <label>
              {said.at}
              <input
                type="number"
                min={0}
                step={0.001}
                value={place.at}
                onChange={({ target }) => change(n, { at: Number(target.value) })}
              />
            </label>
            <Button size="small" onClick={() => onHear(place.at)}>
              {said.hear(place.bar)}
            </Button>
          </li>
        ))}
      </ul>
      <Form method="post" className={styles.taps}>
        <input type="hidden" name="demonstration" value={id} />
        <input type="hidden" name="places" value={JSON.stringify(places)} />
        <FormControlLabel control={<Checkbox name="even" value="on" />} label={said.even} />
        <SubmitButton name="act" value="mark" variant="outlined" disabled={places.length < 2}>
          {said.keep}
        </SubmitButton>
        {kept && <span role="status">{said.kept}</span>}
      </Form>
    </details>
  );
}
