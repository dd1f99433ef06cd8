import { useState } from "react";
import { useKeys } from "~/components/use-keys";
import { words } from "~/words";
import styles from "./sound.module.css";

const { sound } = words;

/** Shows what a pedal sends, as the stand would take it. */
export function PedalTest() {
  const [pressed, setPressed] = useState<"forward" | "back" | "third">();
  const forward = () => setPressed("forward");
  const back = () => setPressed("back");
  const keys = { ArrowRight: forward, PageDown: forward, ArrowLeft: back, PageUp: back };
  useKeys({ ...keys, Home: () => setPressed("third") }, true);
  return (
    <>
      <p className={styles.soft}>{sound.pedalHow}</p>
      <p className={styles.told} role="status">
        {pressed ? sound.pedals[pressed] : sound.noPedal}
      </p>
    </>
  );
}
