type TextField = HTMLInputElement | HTMLTextAreaElement;

/** Types once more what stands in a field: React takes over fields as it drew them, not as they are. */
function retype(field: TextField): void {
  const typed = field.value;
  const prototype = Object.getPrototypeOf(field) as TextField;
  // By the field's own property React notes what it drew; the prototype's goes past it.
  field.value = field.defaultValue;
  Object.getOwnPropertyDescriptor(prototype, "value")?.set?.call(field, typed);
  field.dispatchEvent(new Event("input", { bubbles: true }));
}

/** A file that was chosen stays chosen: nobody may write into such a field, nor need to. */
const NOT_TYPED: ReadonlySet<string> = new Set(["hidden", "file"]);

/** Tells every field of a page that has just come alive what was typed or ticked in it before. */
export function tellWhatWasTyped(page: ParentNode): void {
  for (const field of page.querySelectorAll<TextField>("input, textarea")) {
    if (field.disabled || field.readOnly || field.closest("[aria-hidden=true]")) continue;
    if (field instanceof HTMLInputElement && ["checkbox", "radio"].includes(field.type)) {
      if (field.checked === field.defaultChecked) continue;
      field.checked = field.defaultChecked;
      field.click();
    } else if (!NOT_TYPED.has(field.type) && field.value !== field.defaultValue) retype(field);
  }
}
