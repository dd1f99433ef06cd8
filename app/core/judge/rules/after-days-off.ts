import { ofPassage } from "../rule";

const DAYS_OFF = 3;

/** After days off a start that was right before lies too high. */
export const afterDaysOff = ofPassage(({ daysOff, start, advised, comfortable }) =>
  daysOff >= DAYS_OFF && start > advised
    ? {
        saw: { days: daysOff, start, advised: Math.floor(advised), comfortable: comfortable.value },
        changes: [{ kind: "start-lower", steps: 1 }, { kind: "start-advised" }],
      }
    : undefined,
);
