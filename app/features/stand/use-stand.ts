import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { MapBar } from "~/core/click";
import type { SessionPlan } from "~/core/session";
import { closedTransport } from "~/core/transport";
import { StandDesk } from "./desk";
import { browserPorts, type BrowserOptions } from "./ports";
import type { StandView } from "./view";

interface StandOptions extends BrowserOptions {
  readonly plan: SessionPlan;
}

/** Before the browser has opened its store: what the server knew. */
const serverView = ({ plan, stored }: StandOptions): StandView => ({
  ...closedTransport(plan, stored),
  sending: "sent",
  keeps: true,
});

const nothing = () => () => undefined;

/** One desk for as long as the stand is open; rendered on the server from what is stored. */
export function useStandDesk(options: StandOptions) {
  const [first] = useState(() => serverView(options));
  const [desk, setDesk] = useState<StandDesk | undefined>(undefined);
  const fixed = useRef(options);
  useEffect(() => {
    const opened = new StandDesk(fixed.current, (ears) => browserPorts(fixed.current, ears));
    setDesk(opened);
    void opened.open();
    return () => {
      setDesk(undefined);
      opened.dispose();
    };
  }, []);
  const view = useSyncExternalStore(
    desk?.subscribe ?? nothing,
    desk?.snapshot ?? (() => first),
    () => first,
  );
  return { desk, view };
}

export interface Position {
  readonly bar: MapBar;
  readonly beat: number;
}

/** The bar and beat that are heard, following the audio clock; changes only from beat to beat. */
export function usePosition(desk: StandDesk | undefined, running: boolean) {
  const [position, setPosition] = useState<Position | undefined>(undefined);
  useEffect(() => {
    if (!desk || !running) {
      setPosition(undefined);
      return;
    }
    let frame = 0;
    const follow = () => {
      const next = desk.position();
      setPosition((before) =>
        before?.bar === next?.bar && before?.beat === next?.beat ? before : next,
      );
      frame = requestAnimationFrame(follow);
    };
    follow();
    return () => cancelAnimationFrame(frame);
  }, [desk, running]);
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
