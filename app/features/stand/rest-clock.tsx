import { useEffect, useState } from "react";
import { Press } from "~/components/press";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./bottom-fields.module.css";

interface RestClockProps {
  readonly resting: { readonly since: number; readonly seconds: number };
}

/** A rest between rungs, counted down; it ends by itself with a count-in, or earlier. */
export function RestClock({ resting }: RestClockProps) {
  const { send } = useStand();
  const [now, setNow] = useState(resting.since);
  useEffect(() => {
    const tick = () => setNow(Date.now());
    tick();
    const timer = setInterval(tick, 250);
    return () => clearInterval(timer);
  }, []);
  const left = Math.max(0, Math.ceil((resting.since + resting.seconds * 1000 - now) / 1000));
  return (
    <section className={styles.choice}>
      <h2>{words.stand.phase.resting}</h2>
      <p className={styles.clock} role="timer">
        {words.stand.resting(left)}
      </p>
      <div className={styles.buttons}>
        <Press kind="filled" onClick={() => send({ kind: "end-rest" })}>
          {words.stand.endRest}
        </Press>
      </div>
    </section>
  );
}
