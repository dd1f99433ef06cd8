import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { MapBar } from "~/core/click";
import { replay } from "~/core/session";
import { StandRunner } from "./runner";
import type { RunnerOptions } from "./runner-options";
import type { StandView } from "./view";

/** Before the browser has opened its store: what the server knew. */
const serverView = (options: RunnerOptions): StandView => ({
  state: replay(options.plan, options.stored),
  events: options.stored,
  transport: "stopped",
  early: false,
  sending: "sent",
  keeps: true,
  ready: false,
  leaving: false,
});

const nothing = () => () => undefined;

/** One runner for as long as the stand is open; rendered on the server from what is stored. */
export function useStandRunner(options: RunnerOptions) {
  const [first] = useState(() => serverView(options));
  const [runner, setRunner] = useState<StandRunner | undefined>(undefined);
  const fixed = useRef(options);
  useEffect(() => {
    const opened = new StandRunner(fixed.current);
    setRunner(opened);
    void opened.open();
    return () => {
      setRunner(undefined);
      opened.dispose();
    };
  }, []);
  const view = useSyncExternalStore(
    runner?.subscribe ?? nothing,
    runner?.snapshot ?? (() => first),
    () => first,
  );
  return { runner, view };
}

export interface Position {
  readonly bar: MapBar;
  readonly beat: number;
}

/** The bar and beat that are heard, following the audio clock; changes only from beat to beat. */
export function usePosition(runner: StandRunner | undefined, running: boolean) {
  const [position, setPosition] = useState<Position | undefined>(undefined);
  useEffect(() => {
    if (!runner || !running) {
      setPosition(undefined);
      return;
    }
    let frame = 0;
    const follow = () => {
      const next = runner.position();
      setPosition((before) =>
        before?.bar === next?.bar && before?.beat === next?.beat ? before : next,
      );
      frame = requestAnimationFrame(follow);
    };
    follow();
    return () => cancelAnimationFrame(frame);
  }, [runner, running]);
  return position;
}

/** Keeps the screen awake while something is to be read from it; refusal is normal. */
export function useAwake(wanted: boolean) {
  useEffect(() => {
    if (!wanted || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = async () => {
      if (document.visibilityState !== "visible") return;
      try {
        lock = await navigator.wakeLock.request("screen");
        if (over) await lock.release();
      } catch {
        lock = undefined;
      }
    };
    void ask();
    const again = () => void ask();
    document.addEventListener("visibilitychange", again);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, [wanted]);
}

/**
 * Lets one window at a time run a session. `held`: it is ours; `elsewhere`: another window has it
 * (and `take` fetches it); `gone`: another window took it from us.
 */
export function useOnlyWindow(sessionId: string) {
  const [holding, setHolding] = useState<"asking" | "held" | "elsewhere" | "gone">("asking");
  const [takes, setTakes] = useState(0);
  useEffect(() => {
    if (!("locks" in navigator)) {
      setHolding("held");
      return;
    }
    let release: () => void = () => undefined;
    let over = false;
    const name = `fidus-stand-${sessionId}`;
    const options = takes > 0 ? { steal: true } : { ifAvailable: true };
    navigator.locks
      .request(name, options, (lock) => {
        if (over) return;
        setHolding(lock ? "held" : "elsewhere");
        return lock ? new Promise<void>((resolve) => (release = resolve)) : undefined;
      })
      .catch(() => {
        if (!over) setHolding("gone");
      });
    return () => {
      over = true;
      release();
    };
  }, [sessionId, takes]);
  return { holding, take: () => setTakes((n) => n + 1) };
}
