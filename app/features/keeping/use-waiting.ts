import { useCallback, useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import type { Waiting } from "./send-waiting";

const AGAIN_MS = 15_000;

/** Loaded only where it is needed: most pages have nothing to send. */
const sender = () => import("./send-waiting");

/** Recordings that lie here are sent behind what was played. */
const takesToo = () =>
  import("./send-takes")
    .then(({ sendTakes }) => sendTakes())
    .catch(() => ({ waiting: 0, arrived: 0 }));

/**
 * Sends what was played on this device and has not arrived, from whatever page is open, again and
 * again until it has. Undefined until it is known whether anything waits.
 */
export function useWaiting() {
  const [waiting, setWaiting] = useState<Waiting | undefined>(undefined);
  const [takes, setTakes] = useState(0);
  const { revalidate } = useRevalidator();
  const running = useRef<Promise<Waiting> | undefined>(undefined);
  const send = useCallback(() => {
    running.current ??= sender()
      .then(({ sendWaiting }) => sendWaiting(setWaiting))
      .then(async (told) => {
        const takes = await takesToo();
        setTakes(takes.waiting);
        // A stop for pain that has arrived only now changes what may be played.
        if (told.arrived + takes.arrived > 0) void revalidate();
        return told;
      })
      .finally(() => (running.current = undefined));
    return running.current;
  }, [revalidate]);
  const left = (waiting?.events ?? 0) + takes;
  useEffect(() => {
    void send();
    const again = () => void send();
    window.addEventListener("online", again);
    return () => window.removeEventListener("online", again);
  }, [send]);
  useEffect(() => {
    if (left === 0) return;
    const timer = setInterval(() => void send(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [left, send]);
  return { waiting, send };
}
