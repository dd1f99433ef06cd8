import Button from "@mui/material/Button";
import type { Segment } from "~/core/ladder";
import { barsWithAround, currentBlock, FLAWS } from "~/core/session";
import { barLength, formatMetre } from "~/core/units";
import { words } from "~/words/stand-words";
import type { StandRunner } from "./runner";
import type { StandView } from "./view";
import type { Position } from "./use-stand";
import styles from "./stand-bars.module.css";

interface StandBarsProps {
  readonly view: StandView;
  readonly position: Position | undefined;
  readonly runner: StandRunner | undefined;
}

/** Where in a bar the part begins and ends, when it is not all of it. */
function shareOfBar({ fromBar, toBar, startBeat, endBeats }: Segment, bar: number, beats: number) {
  const from = bar === fromBar ? startBeat / beats : 0;
  const to = bar === toBar && endBeats > 0 ? endBeats / beats : 1;
  if (from === 0 && to === 1) return undefined;
  return { left: `${from * 100}%`, right: `${(1 - to) * 100}%` };
}

/** The bars to play; the one that is heard is marked. After a flawed play, a tap says where. */
export function StandBars({ view, position, runner }: StandBarsProps) {
  const { state } = view;
  const { plan, state: block } = currentBlock(state);
  const flawed = state.plays.find(({ id }) => id === state.detailable);
  const here = position?.bar.part === "play" ? position.bar.number : undefined;
  const { segment, extent } = block;
  const bars = extent === "context" ? barsWithAround(plan) : plan.bars;
  return (
    <section className={styles.bars}>
      <ol className={styles.ribbon} aria-label={words.bars(segment.fromBar, segment.toBar)}>
        {bars.map(({ number, metre }, i) => {
          const inside = number >= segment.fromBar && number <= segment.toBar;
          const before = bars[i - 1]?.metre;
          const newMetre = !before || formatMetre(before) !== formatMetre(metre);
          const classes = [
            styles.bar,
            inside ? "" : styles.outside,
            here === number ? styles.here : "",
            flawed?.bar === number ? styles.where : "",
          ].join(" ");
          const share = shareOfBar(segment, number, metre.beats);
          const content = (
            <>
              {inside && share && <span className={styles.share} style={share} aria-hidden />}
              <span className={styles.barNumber}>{number}</span>
              {newMetre && <span className={styles.metre}>{formatMetre(metre)}</span>}
            </>
          );
          return (
            <li key={number} style={{ flexGrow: barLength(metre) }}>
              {flawed && inside ? (
                <button
                  type="button"
                  className={classes}
                  aria-label={words.bars(number, number)}
                  aria-pressed={flawed.bar === number}
                  onClick={() => void runner?.detail({ bar: number })}
                >
                  {content}
                </button>
              ) : (
                <span className={classes}>{content}</span>
              )}
            </li>
          );
        })}
      </ol>
      <div className={styles.below}>
        {flawed ? (
          <>
            <span>{words.stand.where}</span>
            {FLAWS.map((what) => (
              <Button
                key={what}
                size="small"
                variant={flawed.what === what ? "contained" : "outlined"}
                aria-pressed={flawed.what === what}
                onClick={() => void runner?.detail({ what })}
              >
                {words.flaw[what]}
              </Button>
            ))}
          </>
        ) : (
          extent === "narrowed" && (
            <span>{words.stand.narrowedTo(words.bars(segment.fromBar, segment.toBar))}</span>
          )
        )}
      </div>
    </section>
  );
}
