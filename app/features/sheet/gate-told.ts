import type { Gate } from "~/core/gate";
import { words } from "~/words";

/** A gate in one line: "3 clean in a row, and it feels easy". */
export const gateTold = (gate: Gate): string =>
  gate
    .map((rule) => {
      const many = "plays" in rule ? `${rule.plays} ` : "minutes" in rule ? `${rule.minutes} ` : "";
      return `${many}${words.stand.gate(rule)}`;
    })
    .join(", ");
