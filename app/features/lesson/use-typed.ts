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

const readHere = (key: string): TypedLesson | undefined => {
  const read = v.safeParse(v.pipe(v.string(), v.parseJson(), typedLessonSchema), kept.get(key));
  return read.success ? read.output : undefined;
};

/** What was typed last, of several. */
const latest = (all: readonly (TypedLesson | undefined)[]): TypedLesson | undefined =>
  all.filter((each) => each !== undefined).toSorted((a, b) => b.at - a.at)[0];

const WINDOW_KEY = "fidus-window";

/** A name that this window keeps through reloads, and no other has. */
function windowName(): string {
  try {
    const known = sessionStorage.getItem(WINDOW_KEY) ?? crypto.randomUUID();
    sessionStorage.setItem(WINDOW_KEY, known);
    return known;
  } catch {
    return crypto.randomUUID();
  }
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
  const all = `${TYPED_KEY} ${it.home} `;
  const [key, setKey] = useState<string | undefined>(undefined);
  const [before, setBefore] = useState<TypedBefore>(undefined);
  const [others, setOthers] = useState<TypedLesson | undefined>(undefined);
  const first = useRef({ restore: it.restore, there: it.there });
  useEffect(() => {
    const mine = all + windowName();
    const here = readHere(mine);
    const names = kept.names(all).filter((name) => name !== mine);
    const other = latest([...names.map(readHere), first.current.there]);
    if (here && here.at >= (other?.at ?? 0)) {
      first.current.restore(here);
      setBefore("restored");
    } else if (other) {
      setOthers(other);
      setBefore("elsewhere");
    }
    setKey(mine);
  }, [all]);

  const { home, text, changed, snapshot, restore } = it;
  const now = useRef(snapshot);
  useEffect(() => {
    now.current = snapshot;
  });
  const wasChanged = useRef(false);
  useEffect(() => {
    if (key === undefined) return;
    if (!changed) {
      if (wasChanged.current) {
        kept.removeAll(all);
        setBefore(undefined);
      }
      wasChanged.current = false;
      return;
    }
    wasChanged.current = true;
    const typed = { ...now.current(), at: Date.now() };
    kept.set(key, JSON.stringify(typed));
    // The server keeps one: what was typed elsewhere stays there until it was asked about.
    if (before === "elsewhere") return;
    const timer = setTimeout(() => void send(home, "typed", typed), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [text, changed, before, key, all, home]);

  return {
    before,
    /** Goes on with what was typed elsewhere. */
    goOn: () => {
      if (others) restore(others);
      setBefore("restored");
    },
    /** It is not wanted any more: `put` lays the page out as it was saved. */
    discard: (put: () => void) => {
      kept.removeAll(all);
      // What was typed here goes on being typed; what came back goes.
      if (before === "restored") {
        put();
        wasChanged.current = false;
      }
      setBefore(undefined);
      void send(home, "untyped");
    },
  };
}
