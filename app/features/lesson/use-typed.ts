import { useEffect, useRef, useState } from "react";
import * as v from "valibot";
import { kept } from "~/components/kept";
import { typedLessonSchema, type TypedLesson } from "~/forms/typed-lesson";
import { TYPED_KEY } from "./typed-key";

/** So long a pause, and the server has it too. */
const PAUSE_MS = 1200;

type Snapshot = Omit<TypedLesson, "at">;

interface TypedInputs {
  readonly home: string;
  /** What the server has of it. */
  readonly there: TypedLesson | undefined;
  /** The page as it is now, as text; the same text is the same page. */
  readonly text: string;
  readonly changed: boolean;
  readonly snapshot: () => Snapshot;
  readonly restore: (typed: TypedLesson) => void;
}

/** Something typed and not saved: `restored` is on the page, `elsewhere` waits to be asked for. */
export type TypedBefore = "restored" | "elsewhere" | undefined;

function keptHere(key: string): TypedLesson | undefined {
  const read = v.safeParse(v.pipe(v.string(), v.parseJson(), typedLessonSchema), kept.get(key));
  return read.success ? read.output : undefined;
}

const send = (home: string, act: "typed" | "untyped", typed?: TypedLesson) => {
  const body = new FormData();
  body.set("act", act);
  if (typed) body.set("typed", JSON.stringify(typed));
  // Where it can't be sent, this browser has it; the next pause tries again.
  return fetch(`${home}/lesson/typed`, { method: "POST", body, keepalive: true }).catch(
    () => undefined,
  );
};

/**
 * Nothing that is typed is lost: it lies in this browser at once and on the server at each pause,
 * until it is saved. What was typed here comes back by itself; what was typed elsewhere is asked about.
 */
export function useTyped(it: TypedInputs) {
  const key = `${TYPED_KEY} ${it.home}`;
  const [before, setBefore] = useState<TypedBefore>(undefined);
  const [looked, setLooked] = useState(false);
  const { restore, there } = it;
  const first = useRef({ restore, there });
  useEffect(() => {
    const { there: server, restore: put } = first.current;
    const here = keptHere(key);
    if (here && here.at >= (server?.at ?? 0)) {
      put(here);
      setBefore("restored");
    } else if (server) setBefore("elsewhere");
    setLooked(true);
  }, [key]);

  const { home, text, changed, snapshot } = it;
  const now = useRef(snapshot);
  useEffect(() => {
    now.current = snapshot;
  });
  const wasChanged = useRef(false);
  useEffect(() => {
    if (!looked || before === "elsewhere") return;
    if (!changed) {
      if (wasChanged.current) {
        kept.remove(key);
        setBefore(undefined);
      }
      wasChanged.current = false;
      return;
    }
    wasChanged.current = true;
    const typed = { ...now.current(), at: Date.now() };
    kept.set(key, JSON.stringify(typed));
    const timer = setTimeout(() => void send(home, "typed", typed), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [text, changed, looked, before, key, home]);

  return {
    before,
    /** Goes on with what was typed elsewhere. */
    goOn: () => {
      if (there) restore(there);
      setBefore("restored");
    },
    /** It is not wanted any more: `put` lays the page out as it was saved. */
    discard: (put: () => void) => {
      kept.remove(key);
      put();
      wasChanged.current = false;
      setBefore(undefined);
      void send(home, "untyped");
    },
  };
}
