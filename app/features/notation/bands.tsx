import type { RibbonPassage } from "~/components/bar-ribbon";
import type { BarBox } from "~/core/score";
import { percent } from "./places";
import styles from "./notation.module.css";

const LANE_PX = 32;
/** A band that begins further right has its name end with it, lest it leave the page. */
const FAR_RIGHT = 0.75;

/** The passages below one system: where each begins and ends in it, and its name where it begins. */
export function Bands(props: {
  lanes: readonly (readonly RibbonPassage[])[];
  bars: readonly BarBox[];
}) {
  const { lanes, bars } = props;
  const here = lanes
    .map((lane) => lane.flatMap((passage) => bandOf(passage, bars) ?? []))
    .filter((lane) => lane.length > 0);
  if (here.length === 0) return null;
  return (
    <div className={styles.lanes} style={{ height: here.length * LANE_PX }} aria-hidden>
      {here.map((lane, row) =>
        lane.map(({ passage, from, to, opens, closes }) => (
          <span
            key={passage.id}
            className={[
              styles.band,
              styles[passage.state],
              opens ? styles.opens : "",
              closes ? styles.closes : "",
            ].join(" ")}
            style={{ top: row * LANE_PX, left: percent(from), width: percent(to - from) }}
          >
            {opens && (
              <span className={from > FAR_RIGHT ? styles.labelAtEnd : styles.bandLabel}>
                {passage.label}
              </span>
            )}
          </span>
        )),
      )}
    </div>
  );
}

function bandOf(passage: RibbonPassage, bars: readonly BarBox[]) {
  const inside = bars.filter(({ bar }) => bar >= passage.fromBar && bar <= passage.toBar);
  const [first, last] = [inside[0], inside.at(-1)];
  if (!first || !last) return undefined;
  return {
    passage,
    from: first.left + 0.002,
    to: last.left + last.width - 0.002,
    opens: first.bar === passage.fromBar,
    closes: last.bar === passage.toBar,
  };
}
