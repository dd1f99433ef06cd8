import { useEffect, useEffectEvent } from "react";

export type KeyMap = Readonly<Record<string, (event: KeyboardEvent) => void>>;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest("input, textarea, select, [role=slider]") !== null;

/** The space bar belongs to a button that was reached with the keyboard. */
const isPressing = ({ key, target }: KeyboardEvent): boolean =>
  key === " " && target instanceof HTMLElement && target.matches("button:focus-visible");

/** Keys and pedals; while something is typed, or with a modifier, they are left alone. */
export function useKeys(keys: KeyMap, enabled: boolean) {
  const onKeyDown = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (isTyping(event.target) || isPressing(event)) return;
    const action = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key];
    if (!action) return;
    event.preventDefault();
    if (!event.repeat) action(event);
  });
  useEffect(() => {
    if (!enabled) return;
    const listener = (event: KeyboardEvent) => onKeyDown(event);
    window.addEventListener("keydown", listener);
    return () => window.removeEventListener("keydown", listener);
  }, [enabled]);
}
