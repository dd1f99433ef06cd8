import type { Gate } from "~/core/gate";

/** An item's own gate, where it has one. */
export const ownGate = (clean: number): { readonly gate?: Gate } =>
  clean === 0 ? {} : { gate: [{ kind: "in-a-row", plays: clean, afterFlawed: "reset" }] };
