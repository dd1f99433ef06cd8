import type { RuleName } from "~/core/judge";
import type { AssignmentItem } from "~/core/week";
import { preparedFocus } from "~/words/advice";

/** How a week's item changes by rules that ask for more or fewer days, or for slow work. */
const CHANGES: Partial<Record<RuleName, Partial<AssignmentItem>>> = {
  tension: { focuses: ["slow"] },
  "go-down": { focuses: ["slow"] },
  "what-next": { focuses: ["slow"] },
  "behind-date": { often: { kind: "daily" } },
  "weakest-bit": { often: { kind: "daily" } },
  "target-reached": { often: { kind: "times", times: 2 } },
};

/** What of next week's item for a passage some advice would change. */
export const preparedItem = (rule: RuleName): Partial<AssignmentItem> => ({
  focus: preparedFocus[rule] ?? "",
  ...CHANGES[rule],
});
