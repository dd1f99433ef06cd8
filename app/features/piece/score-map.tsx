import { useState, type PointerEvent } from "react";
import { barAt, type BarDifficulty, type Score } from "~/core/score";
import { notationWords } from "~/words/notation";
import styles from "./trouble.module.css";

const TALLEST = 30;
/** An easy piece does not look as hard as another: bars are drawn against at least so much. */
const LEAST_FULL = 0.35;

/**
 * The whole piece as a row of bars, each as tall as its notes are hard. A press goes to the bar and
 * says why; with the keyboard, the bars of the score itself are there.
 */
export function ScoreMap({ score, profile }: { score: Score; profile: readonly BarDifficulty[] }) {
  const [looked, setLooked] = useState<number | undefined>(undefined);
  const full = Math.max(LEAST_FULL, ...profile.map(({ total }) => total));
  const hard = profile.find(({ bar }) => bar === looked);
  const look = (event: PointerEvent<HTMLElement>) => {
    const { map } = (event.target as HTMLElement).closest<HTMLElement>("[data-map]")?.dataset ?? {};
    if (map === undefined) return;
    setLooked(Number(map));
    const calm = matchMedia("(prefers-reduced-motion: reduce)").matches;
    document
      .querySelector(`[data-bar="${map}"]`)
      ?.scrollIntoView({ block: "center", behavior: calm ? "auto" : "smooth" });
  };
  return (
    <>
      <div
        className={styles.map}
        role="img"
        aria-label={notationWords.profile}
        onPointerDown={look}
      >
        {profile.map(({ bar, total }) => (
          <span
            key={bar}
            data-map={bar}
            className={`${styles.cell} ${bar === looked ? styles.looked : ""}`}
          >
            <span style={{ height: Math.max(2, (total / full) * TALLEST) }} />
          </span>
        ))}
      </div>
      <p className={styles.why} role="status">
        {hard
          ? notationWords.why(barAt(score, hard.bar)?.label || String(hard.bar), hard)
          : notationWords.profileHow}
      </p>
    </>
  );
}
