import Button from "@mui/material/Button";
import { TempoText } from "~/components/beat-unit";
import type { Contradiction, TempoRegion } from "~/core/score";
import { words } from "~/words/stand-words";
import { tempiWords as said } from "~/words/tempi";
import styles from "./tempo.module.css";

interface ClashesProps {
  readonly contradictions: readonly Contradiction[];
  /** How a region is spoken of. */
  readonly name: (region: TempoRegion) => string;
  readonly onTake: (region: TempoRegion, bpm: number) => void;
}

/** Whole tempi within a span, where it holds any: what would be set. */
const wholes = ({ low, high }: Contradiction["asks"]) =>
  Math.ceil(low) <= Math.floor(high)
    ? { low: Math.ceil(low), high: Math.floor(high) }
    : { low, high };

/** Tempi that can't all hold: where it bites, and the nearest that resolve it, one press away. */
export function Clashes({ contradictions, name, onTake }: ClashesProps) {
  return contradictions.map(({ region, other, asks, has, nearest }) => {
    const whole = wholes(asks);
    return (
      <div key={region.id} className={styles.clash} role="alert">
        <span>
          {words.capital(name(region))}{" "}
          {region.target && <TempoText unit={region.unit} bpm={region.target.low} />}
          {said.contradiction.asks(
            said.linked(region.link!, name(other)),
            name(other),
            whole.low,
            whole.high,
          )}
          {said.contradiction.has(has.low, has.high)}
        </span>
        <Button size="small" variant="outlined" onClick={() => onTake(other, nearest.other)}>
          {said.contradiction.take(words.capital(name(other)), nearest.other)}
        </Button>
        {region.target && (
          <Button size="small" variant="outlined" onClick={() => onTake(region, nearest.region)}>
            {said.contradiction.take(words.capital(name(region)), nearest.region)}
          </Button>
        )}
      </div>
    );
  });
}
