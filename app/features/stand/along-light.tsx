import { AudioLines } from "lucide-react";
import { useSyncExternalStore } from "react";
import { Press } from "~/components/press";
import { words } from "~/words/stand-words";
import type { AlongPhase } from "./play-along";
import { useStand } from "./stand-context";
import styles from "./along-light.module.css";

const said = words.along;
const nothing = () => () => undefined;
const off = (): AlongPhase => "off";

/** The teacher's playing, turned on and off; only where there is some. */
export function AlongLight() {
  const { desk, usable } = useStand();
  const along = desk?.along;
  const phase = useSyncExternalStore(along?.subscribe ?? nothing, along?.snapshot ?? off, off);
  const on = phase !== "off";
  return (
    <div className={styles.along} data-along={phase}>
      <p role="status" className={styles.told}>
        {said.phase[phase]}
      </p>
      <Press
        size="square"
        disabled={!usable}
        onClick={() => void desk?.playAlong(!on)}
        aria-label={said.turn}
        aria-pressed={on}
        title={said.turn}
      >
        <AudioLines size={22} />
      </Press>
    </div>
  );
}
