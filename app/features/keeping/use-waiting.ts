import { useCallback, useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { arrivedSinceAsked } from "./arrived";
import type { Waiting } from "./send-waiting";

const AGAIN_MS = 15_000;

/** Loaded only where it is needed: most pages have nothing to send. */
const sender = () => import("./send-waiting");

/** Recordings that lie here are sent behind what was played. */
const takesToo = () =>
  import("./send-takes")
    .then(({ sendTakes }) => sendTakes())
    .catch(() => ({ waiting: 0, arrived: 0, others: [] }));

/**
 * Sends what was played on this device and has not arrived, from whatever page is open, again and
 * again until it has. Undefined until it is known whether anything waits.
 */
export function useWaiting() {
  const [waiting, setWaiting] = useState<Waiting | undefined>(undefined);
  const { revalidate } = useRevalidator();
  const running = useRef<Promise<Waiting> | undefined>(undefined);
  const send = useCallback(() => {
    running.current ??= sender()
      .then(({ sendWaiting }) => sendWaiting(setWaiting))
      .then(async (told) => {
        const takes = await takesToo();
        const whole = { ...told, takes: takes.waiting, otherTakes: takes.others };
        setWaiting(whole);
        // A stop for pain that has arrived only now changes what may be played.
        const late = arrivedSinceAsked();
        if (late || told.arrived + takes.arrived > 0) void revalidate();
        return whole;
      })
      .finally(() => (running.current = undefined));
    return running.current;
  }, [revalidate]);
  const left = (waiting?.events ?? 0) + (waiting?.takes ?? 0);
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
  /** What is found by a sending that begins now: one that is under way may have begun without a network. */
  const sendAnew = useCallback(async () => {
    await running.current?.catch(() => undefined);
    return send();
  }, [send]);
  return { waiting, sendAnew };
}
