import { SmallStairs } from "~/components/small-stairs";
import { staircase, type Ladder } from "~/core/ladder";
import type { Shape } from "~/core/session";
import type { LibraryLine } from "./library-line";
import styles from "./library.module.css";

/** Nobody's bars yet: a way up is drawn over four of them. */
const SAMPLE_BARS = [1, 2, 3, 4].map((number) => ({
  number,
  metre: { beats: 4, unit: 4 } as const,
}));

/** The way up of a ladder, the parts of a plan in proportion, the first way up of an exercise. */
export function LinePicture({ ladder, shape, exercise }: LibraryLine) {
  const climbed = ladder ?? exercise?.ladders[0];
  if (climbed) return <Way ladder={climbed} />;
  return shape ? <Parts shape={shape} /> : null;
}

function Way({ ladder }: { ladder: Ladder }) {
  const rungs = staircase(ladder, { start: ladder.start, bars: SAMPLE_BARS });
  return <SmallStairs tempi={rungs.map(({ tempo }) => tempo)} goal={ladder.target} />;
}

function Parts({ shape }: { shape: Shape }) {
  return (
    <span className={styles.parts} aria-hidden>
      {shape.map(({ kind, span }, index) => (
        <span key={index} data-kind={kind} style={{ flexGrow: span.ideal }} />
      ))}
    </span>
  );
}
