import { useEffect, useState } from "react";
import { currentBlock, playsAnything, taskNow, type Flaw, type StandState } from "~/core/session";
import { DigitEntry } from "./digit-entry";
import { REST_SECONDS, type PlayersInput } from "~/core/transport";
import type { StandDesk } from "./desk";
import { useHeldKey, useKeys, type KeyMap } from "~/components/use-keys";
import { pressOffer, stepAmongOffers } from "./offer-keys";
import type { StandView } from "./view";

/** What went wrong, with Shift, after a flawed play. */
const FLAW_LETTERS: Readonly<Record<string, Flaw>> = {
  n: "notes",
  r: "rhythm",
  o: "tone",
  x: "tension",
  m: "memory",
  c: "coordination",
};
const DIGITS = ["0", "1", "2", "3", "4", "5", "6", "7", "8", "9"] as const;
const OFFER_KEYS = ["F1", "F2", "F3", "F4"] as const;

interface StandKeysOptions {
  readonly view: StandView;
  readonly send: (input: PlayersInput) => void;
  readonly desk: StandDesk | undefined;
  readonly usable: boolean;
  /** Nothing lies over the stand. */
  readonly enabled: boolean;
  /** Whether single letters are keys; digits, arrows, the pedal and Escape always are. */
  readonly letters: boolean;
  readonly onTap: () => void;
  readonly onBetween: () => void;
  readonly onNote: () => void;
  readonly onLook: () => void;
  readonly onRecord: () => void;
  readonly onHelp: () => void;
}

/** The first and the last bar of what is played; none in a session of tasks alone. */
function barsNow(state: StandState): readonly [number, number] {
  if (!playsAnything(state)) return [1, 0];
  const { fromBar, toBar } = currentBlock(state).state.segment;
  return [fromBar, toBar];
}

/** Every key of the stand. */
export function useStandKeys(options: StandKeysOptions): void {
  const { view, send, desk, usable, enabled, letters } = options;
  const { stand: state } = view;
  const act = (action: () => unknown) => () => void (usable && action());
  /** For what has no meaning during a task. */
  const atBlock = (action: () => unknown) => act(() => taskNow(state) === undefined && action());

  const [first, last] = barsNow(state);
  const bars = last - first + 1;
  const detailBar = (place: number) => send({ kind: "detail", about: { bar: first + place - 1 } });
  const [digits] = useState(() => new DigitEntry());
  // Where and what can be told until the next play is over.
  const telling = state.detailable !== undefined;
  useEffect(() => {
    if (!telling) digits.cancel();
  }, [telling, digits]);

  const ifTelling = (action: () => unknown) => act(() => telling && action());
  const always: KeyMap = {
    ArrowRight: act(() => send({ kind: "forward" })),
    PageDown: act(() => send({ kind: "forward" })),
    ArrowLeft: act(() => send({ kind: "back" })),
    PageUp: act(() => send({ kind: "back" })),
    " ": act(() => send({ kind: "toggle" })),
    Backspace: act(() => send({ kind: "undo" })),
    ArrowUp: act(() => stepAmongOffers(-1) || atBlock(() => send({ kind: "nudge", by: 1 }))()),
    ArrowDown: act(() => stepAmongOffers(1) || atBlock(() => send({ kind: "nudge", by: -1 }))()),
    // The third key of a pedal.
    Home: atBlock(options.onLook),
    ".": (event) => desk?.tap(event.timeStamp),
    "?": options.onHelp,
    ...Object.fromEntries(OFFER_KEYS.map((key, i) => [key, act(() => pressOffer(i))])),
    ...Object.fromEntries(
      DIGITS.map((key, digit) => [key, ifTelling(() => digits.press(digit, bars, detailBar))]),
    ),
  };
  const byLetter: KeyMap = {
    u: act(() => send({ kind: "undo" })),
    g: atBlock(() => send({ kind: "ease" })),
    m: atBlock(options.onTap),
    r: atBlock(() => send({ kind: "repeat" })),
    s: atBlock(() => send({ kind: "skip" })),
    j: atBlock(() => send({ kind: "try", on: view.trying === undefined })),
    t: atBlock(() => send({ kind: "rest", seconds: REST_SECONDS })),
    c: atBlock(options.onBetween),
    n: options.onNote,
    a: atBlock(options.onRecord),
    v: atBlock(options.onLook),
    e: atBlock(() => send({ kind: "end-well" })),
    h: act(() => send({ kind: "hurts" })),
    ...Object.fromEntries(
      Object.entries(FLAW_LETTERS).map(([letter, what]) => [
        `Shift+${letter}`,
        ifTelling(() => send({ kind: "detail", about: { what } })),
      ]),
    ),
  };
  useKeys(letters ? { ...always, ...byLetter } : always, enabled);
  useHeldKey(
    "Escape",
    act(() => send({ kind: "hurts" })),
    enabled,
  );
}
