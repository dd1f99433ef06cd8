import { useLayoutEffect } from "react";

type Taking = (name: string, typed: string) => void;

/**
 * Takes over what was typed or ticked before the page came alive: `take` gets what stands in each
 * field then, by the field's name.
 */
export function useTypedBefore(
  around: { readonly current: HTMLElement | null },
  take: Taking,
): void {
  useLayoutEffect(() => {
    for (const field of around.current?.querySelectorAll("input, textarea") ?? []) {
      const typed = typedIn(field);
      if (typed) take(...typed);
    }
    // Once, when the page comes alive.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
}

/** What stands in a field that one can type into, or tick. */
function typedIn(field: Element): Parameters<Taking> | undefined {
  if (field instanceof HTMLTextAreaElement) return [field.name, field.value];
  if (!(field instanceof HTMLInputElement) || field.type === "hidden") return undefined;
  const ticked = field.checked ? "on" : "";
  return [field.name, field.type === "checkbox" ? ticked : field.value];
}
