import { useEffect, useRef, type RefObject } from "react";

/** Counts the seconds that a track is heard, and tells each whole minute of them. */
export function useListening(
  player: RefObject<HTMLAudioElement | null>,
  address: string,
  note: string,
): void {
  const entry = useRef<string | undefined>(undefined);
  useEffect(() => {
    const audio = player.current;
    if (!audio) return undefined;
    let [heard, last, told] = [0, audio.currentTime, 0];
    const pass = () => {
      const step = audio.currentTime - last;
      last = audio.currentTime;
      // A jump is no listening.
      if (step > 0 && step < 2) heard += step;
      const minutes = Math.floor(heard / 60);
      if (minutes <= told) return;
      told = minutes;
      const body = new FormData();
      body.set("id", (entry.current ??= crypto.randomUUID()));
      body.set("minutes", String(minutes));
      body.set("note", note);
      // Whatever does not arrive is told again with the next minute.
      void fetch(address, { method: "POST", body, keepalive: true }).catch(() => undefined);
    };
    audio.addEventListener("timeupdate", pass);
    return () => audio.removeEventListener("timeupdate", pass);
  }, [player, address, note]);
}
