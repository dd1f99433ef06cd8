import { useSyncExternalStore } from "react";
import { kept } from "./kept";

/** Where a browser keeps whether its pages are dark, light, or as the system says. */
const KEY = "mui-mode";
const ATTRIBUTE = "data-scheme";

type Heard = (mode: string) => void;
const listeners = new Set<Heard>();

const chosen = (): string | null => kept.get(KEY);

const system = () => matchMedia("(prefers-color-scheme: dark)");

/** Shows the page as it was chosen, or else as the system says. */
function show(): void {
  const mode = chosen();
  const dark = mode === "dark" || (mode !== "light" && system().matches);
  document.documentElement.setAttribute(ATTRIBUTE, dark ? "dark" : "light");
}

function tell(): void {
  show();
  for (const heard of listeners) heard(chosen() ?? "system");
}

function choose(mode: "light" | "dark"): void {
  kept.set(KEY, mode);
  tell();
}

/** As a script at the top of the page, so that a dark page never flashes light. */
export const SCHEME_SCRIPT = `(()=>{let m;try{m=localStorage.getItem("${KEY}")}catch{}
const dark=m==="dark"||(m!=="light"&&matchMedia("(prefers-color-scheme: dark)").matches);
document.documentElement.setAttribute("${ATTRIBUTE}",dark?"dark":"light")})()`;

/** Follows the system, and what is chosen in another window. Returns how to stop. */
export function followsTheScheme(): () => void {
  const media = system();
  const elsewhere = ({ key }: StorageEvent) => {
    if (key === KEY) tell();
  };
  media.addEventListener("change", show);
  window.addEventListener("storage", elsewhere);
  // Either may have changed since the page's first line.
  show();
  return () => {
    media.removeEventListener("change", show);
    window.removeEventListener("storage", elsewhere);
  };
}

/** How the interface library reads and keeps the choice; it keeps nothing else. */
export const schemeStorage = ({ key }: { readonly key: string }) => ({
  get: (otherwise: string) =>
    typeof document === "undefined" ? undefined : (key === KEY && chosen()) || otherwise,
  // It is chosen by `useScheme` alone.
  set: () => undefined,
  subscribe: (heard: Heard) => {
    if (key !== KEY) return () => undefined;
    listeners.add(heard);
    return () => void listeners.delete(heard);
  },
});

function onChange(heard: () => void): () => void {
  const observer = new MutationObserver(heard);
  observer.observe(document.documentElement, { attributeFilter: [ATTRIBUTE] });
  return () => observer.disconnect();
}

/** Dark or light, as chosen here or else as the system says. */
export function useScheme() {
  const dark = useSyncExternalStore(
    onChange,
    () => document.documentElement.getAttribute(ATTRIBUTE) === "dark",
    () => false,
  );
  return { dark, toggle: () => choose(dark ? "light" : "dark") };
}
