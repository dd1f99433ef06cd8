import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useFormats } from "~/components/locale";
import { NumberField } from "~/components/number-field";
import { TEMPO_LIMITS } from "~/core/units";
import { words } from "~/words";
import type { CheckedClick } from "./check-click";
import styles from "./sound.module.css";

const { sound } = words;
const LONGEST_SECONDS = 120;

/** Plays the click, listens to it inside the browser, and says how exact it is here. */
export function ClickMeasure() {
  const [tempo, setTempo] = useState(96);
  const [then, setThen] = useState(96);
  const [subdivision, setSubdivision] = useState(2);
  const [seconds, setSeconds] = useState(10);
  const [live, setLive] = useState(true);
  const [running, setRunning] = useState(false);
  const [result, setResult] = useState<CheckedClick | undefined>(undefined);
  const run = async () => {
    setRunning(true);
    setResult(undefined);
    const { checkClick } = await import("./check-click");
    setResult(
      await checkClick({
        tempi: then === tempo ? [tempo] : [tempo, then],
        subdivision,
        seconds,
        live,
        volume: 0.7,
      }),
    );
    setRunning(false);
  };
  const inRange =
    tempo >= TEMPO_LIMITS.lowest &&
    tempo <= TEMPO_LIMITS.highest &&
    then >= TEMPO_LIMITS.lowest &&
    then <= TEMPO_LIMITS.highest &&
    subdivision >= 1 &&
    subdivision <= 8 &&
    seconds >= 1 &&
    seconds <= LONGEST_SECONDS;
  return (
    <details className={styles.measure}>
      <summary>{sound.measure}</summary>
      <p className={styles.soft}>{sound.lead}</p>
      <div className={styles.form}>
        <NumberField
          label={sound.tempo}
          unit="bpm"
          value={tempo}
          min={TEMPO_LIMITS.lowest}
          max={TEMPO_LIMITS.highest}
          onChange={setTempo}
          slider={false}
        />
        <NumberField
          label={sound.then}
          unit="bpm"
          value={then}
          min={TEMPO_LIMITS.lowest}
          max={TEMPO_LIMITS.highest}
          onChange={setThen}
          slider={false}
        />
        <NumberField
          label={sound.subdivision}
          unit=""
          value={subdivision}
          min={1}
          max={8}
          onChange={setSubdivision}
          slider={false}
        />
        <NumberField
          label={sound.seconds}
          unit="s"
          value={seconds}
          min={1}
          max={LONGEST_SECONDS}
          onChange={setSeconds}
          slider={false}
        />
        <TextField
          select
          size="small"
          label={sound.how}
          value={live ? "live" : "offline"}
          onChange={({ target }) => setLive(target.value === "live")}
        >
          <MenuItem value="live">{sound.live}</MenuItem>
          <MenuItem value="offline">{sound.offline}</MenuItem>
        </TextField>
        <Button variant="contained" disabled={running || !inRange} onClick={() => void run()}>
          {running ? sound.running : sound.start}
        </Button>
      </div>
      <div aria-live="polite">{result && <Result result={result} />}</div>
    </details>
  );
}

function Result({ result }: { result: CheckedClick }) {
  const formats = useFormats();
  const { expected, missing, extra, worst, mean, sampleRate } = result;
  return (
    <div className={styles.result}>
      <p className={styles.big}>{sound.result(expected, worst.toFixed(2), mean.toFixed(2))}</p>
      <p>{sound.missed(missing, extra)}</p>
      <p className={styles.soft}>
        {sound.rate(formats.number(sampleRate), (1e6 / sampleRate).toFixed(0))}
      </p>
    </div>
  );
}
