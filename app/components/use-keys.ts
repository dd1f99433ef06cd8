import { useEffect, useEffectEvent } from "react";

export type KeyMap = Readonly<Record<string, (event: KeyboardEvent) => void>>;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest("input, textarea, select, [role=slider]") !== null;

/** The space bar belongs to a button that was reached with the keyboard. */
const isPressing = ({ key, target }: KeyboardEvent): boolean =>
  key === " " && target instanceof HTMLElement && target.matches("button:focus-visible");

/** "Shift+n" for a capital letter, "n" for a small one; any other key by its own name. */
function nameOf({ key, shiftKey }: KeyboardEvent): string {
  const letter = /^[a-z]$/i.test(key);
  return letter ? `${shiftKey ? "Shift+" : ""}${key.toLowerCase()}` : key;
}

/** Keys and pedals; while something is typed, or with a modifier, they are left alone. */
export function useKeys(keys: KeyMap, enabled: boolean) {
  const onKeyDown = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (isTyping(event.target) || isPressing(event)) return;
    const action = keys[nameOf(event)];
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

const HELD_MS = 800;

/** A key that does something only when it is held. */
export function useHeldKey(key: string, action: () => void, enabled: boolean) {
  const onHeld = useEffectEvent(action);
  useEffect(() => {
    if (!enabled) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const release = () => {
      clearTimeout(timer);
      timer = undefined;
    };
    const down = (event: KeyboardEvent) => {
      if (event.key === key) timer ??= setTimeout(() => onHeld(), HELD_MS);
    };
    const up = (event: KeyboardEvent) => event.key === key && release();
    window.addEventListener("keydown", down);
    window.addEventListener("keyup", up);
    window.addEventListener("blur", release);
    return () => {
      release();
      window.removeEventListener("keydown", down);
      window.removeEventListener("keyup", up);
      window.removeEventListener("blur", release);
    };
  }, [key, enabled]);
}
