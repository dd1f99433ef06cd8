import Button from "@mui/material/Button";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { RibbonPassage } from "~/components/bar-ribbon";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import type { BarRange } from "~/components/use-bar-selection";
import { MemoryLines } from "~/features/my-week/memory-lines";
import { words } from "~/words";
import { heartWords } from "~/words/by-heart";
import type { ByHeartPageProps } from "./by-heart-page-props";
import { HeartBars } from "./heart-bars";
import { HeartParts } from "./heart-parts";
import { HeartTest } from "./heart-test";
import styles from "./by-heart.module.css";

/** A piece learnt by heart, as a map of its bars: what stands since when, tested from the middle. */
export function ByHeartPage(props: ByHeartPageProps) {
  const { studioId, role, person, piece, stretches, next } = props;
  const formats = useFormats();
  const [selection, setSelection] = useState<BarRange | undefined>(undefined);
  const [testing, setTesting] = useState<"no" | "covered" | "seen">("no");
  const home = `/studio/${studioId}/students/${person.id}`;
  const stands = stretches.reduce((sum, { fromBar, toBar }) => sum + toBar - fromBar + 1, 0);
  const looksOnly = role === "parent";
  const soonest = Math.min(...stretches.map(({ dueIn }) => dueIn));
  const bands = stretches.map(({ fromBar, toBar, since, dueIn }): RibbonPassage => {
    const day = formats.shortDay(since);
    return {
      id: String(fromBar),
      fromBar,
      toBar,
      state: dueIn <= 0 ? "forming" : "safe",
      label: dueIn <= 0 ? heartWords.due(day) : heartWords.since(day),
    };
  });
  return (
    <Page
      title={`${heartWords.title}: ${piece.title}`}
      lead={heartWords.lead(stands, piece.bars)}
      back={{ to: `${home}/pieces/${piece.id}`, label: piece.title }}
    >
      {props.memory && <MemoryLines lines={[props.memory]} canMark={false} />}
      {!looksOnly && (
        <Section title={heartWords.test}>
          {next ? (
            <>
              {soonest > 0 && testing === "no" && <p>{heartWords.notDue(soonest)}</p>}
              <HeartTest
                bars={next}
                on={testing !== "no"}
                seen={testing === "seen"}
                onBegin={() => {
                  setSelection(undefined);
                  setTesting("covered");
                }}
                onLook={() => setTesting("seen")}
                onEnd={() => setTesting("no")}
              />
            </>
          ) : (
            <p className={styles.soft}>{heartWords.nothingToTest}</p>
          )}
        </Section>
      )}
      <Section
        title={heartWords.map}
        aside={<span className={styles.soft}>{looksOnly ? heartWords.key : heartWords.how}</span>}
      >
        {props.memory && props.parts.length > 0 && (
          <HeartParts
            unit={props.memory.plan.unit}
            parts={props.parts}
            selection={selection}
            onSelect={looksOnly || testing !== "no" ? undefined : setSelection}
          />
        )}
        <HeartBars
          page={props}
          stretches={bands}
          selection={testing === "no" ? selection : testing === "seen" ? next : undefined}
          onSelect={(bars) => !looksOnly && testing === "no" && setSelection(bars)}
          covered={testing === "covered" ? next : undefined}
        />
        {stretches.length > 0 && !looksOnly && <p className={styles.soft}>{heartWords.key}</p>}
        {selection && !looksOnly && testing === "no" && (
          <Say bars={selection} onSaid={() => setSelection(undefined)} />
        )}
        {props.refused?.errors.form && <p role="alert">{props.refused.errors.form}</p>}
      </Section>
      {props.tests.length > 0 && (
        <Section title={heartWords.tests}>
          <ul className={styles.tests}>
            {props.tests.map(({ day, fromBar, toBar, stood, looked }, index) => (
              <li key={index}>
                <span>{formats.shortDay(day)}</span>
                <span>{words.capital(words.bars(fromBar, toBar))}</span>
                <strong>{heartWords.outcome[looked ? "looked" : stood ? "stood" : "fell"]}</strong>
              </li>
            ))}
          </ul>
        </Section>
      )}
    </Page>
  );
}

/** Says of chosen bars that they stand, or no longer do. */
function Say({ bars, onSaid }: { bars: BarRange; onSaid: () => void }) {
  const fetcher = useFetcher();
  const say = (act: "stand" | "fell") => {
    const { fromBar, toBar } = bars;
    void fetcher.submit({ act, fromBar, toBar }, { method: "post" });
    onSaid();
  };
  return (
    <div className={styles.say}>
      <Button variant="contained" onClick={() => say("stand")}>
        {heartWords.stand(words.bars(bars.fromBar, bars.toBar))}
      </Button>
      <Button color="inherit" onClick={() => say("fell")}>
        {heartWords.fell}
      </Button>
    </div>
  );
}
