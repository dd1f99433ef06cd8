import { useEffect, useRef } from "react";
import type { TakePlayer } from "./player";
import styles from "./take.module.css";

const nonceOfPage = (): string =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

/** The waveform of one of the takes that a player holds. */
export function Wave({ player, index }: { readonly player: TakePlayer; readonly index: number }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let over = false;
    const drawn = player.draw(box.current!, index, nonceOfPage());
    void drawn.then((wave) => over && wave.destroy());
    return () => {
      over = true;
      void drawn.then((wave) => wave.destroy());
    };
  }, [player, index]);
  return <div className={styles.wave} ref={box} aria-hidden />;
}
