import { useSyncExternalStore } from "react";

/** Where a browser keeps whether its pages are dark, light, or as the system says. */
const KEY = "mui-mode";
const ATTRIBUTE = "data-scheme";

type Heard = (mode: string) => void;
const listeners = new Set<Heard>();

const system = () => matchMedia("(prefers-color-scheme: dark)");

function chosen(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    // A browser that keeps nothing goes by the system.
    return null;
  }
}

const show = (dark: boolean) =>
  document.documentElement.setAttribute(ATTRIBUTE, dark ? "dark" : "light");

function choose(mode: "light" | "dark"): void {
  try {
    localStorage.setItem(KEY, mode);
  } catch {
    // Then it holds for this page.
  }
  show(mode === "dark");
  for (const heard of listeners) heard(mode);
}

/** As a script at the top of the page, so that a dark page never flashes light. */
export const SCHEME_SCRIPT = `(()=>{let m;try{m=localStorage.getItem("${KEY}")}catch{}
const dark=m==="dark"||(m!=="light"&&matchMedia("(prefers-color-scheme: dark)").matches);
document.documentElement.setAttribute("${ATTRIBUTE}",dark?"dark":"light")})()`;

/** Where nothing was chosen, pages go dark and light with the system. Returns how to stop. */
export function followsTheSystem(): () => void {
  const media = system();
  const follow = () => {
    if (chosen() !== "light" && chosen() !== "dark") show(media.matches);
  };
  media.addEventListener("change", follow);
  // It may have changed since the page's first line.
  follow();
  return () => media.removeEventListener("change", follow);
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
