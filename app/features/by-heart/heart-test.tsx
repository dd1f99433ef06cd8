import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { BarRange } from "~/components/use-bar-selection";
import type { TestOutcome } from "~/forms/by-heart";
import { heartWords } from "~/words/by-heart";
import styles from "./by-heart.module.css";

interface HeartTestProps {
  readonly bars: BarRange;
  /** Whether the notes are covered, so that it is played from memory now. */
  readonly on: boolean;
  readonly seen: boolean;
  readonly onBegin: () => void;
  readonly onLook: () => void;
  readonly onEnd: () => void;
}

const KEYS: Readonly<Record<string, TestOutcome>> = {
  ArrowRight: "stood",
  PageDown: "stood",
  ArrowLeft: "fell",
  PageUp: "fell",
};

/** A test from some bar on: the notes are covered, then its player says whether it stood. */
export function HeartTest({ bars, on, seen, onBegin, onLook, onEnd }: HeartTestProps) {
  const fetcher = useFetcher();
  // Made once for a test, so that what is sent again changes nothing.
  const [id, setId] = useState(() => crypto.randomUUID());
  const say = (outcome: TestOutcome) => {
    const { fromBar, toBar } = bars;
    void fetcher.submit({ act: "test", id, outcome, fromBar, toBar }, { method: "post" });
    setId(crypto.randomUUID());
    onEnd();
  };
  useEffect(() => {
    if (!on) return;
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const outcome = KEYS[event.key];
      if (outcome) {
        event.preventDefault();
        say(seen ? "looked" : outcome);
      } else if (event.key.toLowerCase() === "v") onLook();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  });
  if (!on) {
    return (
      <>
        <p className={styles.soft}>{heartWords.testHow}</p>
        <Button variant="contained" onClick={onBegin} disabled={fetcher.state !== "idle"}>
          {heartWords.begin}
        </Button>
      </>
    );
  }
  return (
    <div className={styles.test} role="group" aria-label={heartWords.test}>
      <p className={styles.from}>{heartWords.from(bars.fromBar, bars.toBar)}</p>
      {seen ? (
        <>
          <p>{heartWords.looked}</p>
          <Button variant="contained" size="large" onClick={() => say("looked")}>
            {heartWords.done}
          </Button>
        </>
      ) : (
        <>
          <Button variant="contained" size="large" onClick={() => say("stood")}>
            {heartWords.stood}
          </Button>
          <Button variant="outlined" size="large" onClick={() => say("fell")}>
            {heartWords.fellOut}
          </Button>
          <Button color="inherit" onClick={onLook}>
            {heartWords.look}
          </Button>
        </>
      )}
      <Button color="inherit" onClick={onEnd}>
        {heartWords.leave}
      </Button>
      <p className={styles.soft}>{heartWords.keys}</p>
    </div>
  );
}
