import { metreAt, type BarBox, type PassageRange, type Within } from "~/core/score";
import { edgesOf } from "./edges";
import { momentIn, percent } from "./places";
import styles from "./notation.module.css";

/** What of one bar is chosen, down to its beats. */
export function ChosenBeats(props: { piece: Within; range: PassageRange; box: BarBox }) {
  const { piece, range, box } = props;
  const { start, end } = edgesOf(piece, range);
  if (box.bar < start.bar || box.bar > end.bar) return null;
  const { unit, beats } = metreAt(piece.metres, Math.max(1, box.bar));
  const length = (box.bar === 0 ? piece.pickupBeats : beats) / unit;
  const place = (beat: number) => (momentIn(box, beat / unit, length) - box.left) / box.width;
  const from = box.bar === start.bar ? place(start.beat) : 0;
  const to = box.bar === end.bar ? place(end.beat) : 1;
  return (
    <span
      className={styles.chosen}
      style={{ left: percent(from), right: percent(Math.max(0, 1 - to)) }}
    />
  );
}
