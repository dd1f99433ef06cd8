import { useEffect, useRef } from "react";
import { isInTime } from "~/core/transport";
import { plannedTake, type PlannedTake } from "~/core/session";
import type { StandDesk } from "./desk";
import { lastTakeChoice } from "./take-choice-kept";
import type { StandView } from "./view";

/** Going on in time, what follows is sent ahead while one plays: that must be known before. */
export const plannedNow = ({ stand: state, transport }: StandView): PlannedTake | undefined =>
  plannedTake(state, transport === "play" && isInTime(state));

interface PlannedTakeProps {
  readonly view: StandView;
  readonly desk: StandDesk | undefined;
  /** Nothing else lies over the stand, and it may be used. */
  readonly free: boolean;
  readonly trial: boolean;
  /** Asks how the click is heard; the browser asks for the microphone. */
  readonly ask: () => void;
}

/** Where the plan says that a run is recorded, it is, without a press. */
export function usePlannedTake({ view, desk, free, trial, ask }: PlannedTakeProps): void {
  const planned = plannedNow(view);
  const { stand: state, transport } = view;
  const asked = useRef(new Set<string>());
  const isDue = planned?.before === 0;
  const key = planned && free ? `${state.blockIndex} ${isDue}` : undefined;
  useEffect(() => {
    if (key === undefined || !desk || asked.current.has(key)) return;
    if (desk.takes.snapshot().phase !== "off") return;
    const choice = lastTakeChoice(trial);
    const stopped = transport === "stopped";
    // The first time on a device it is asked before anything is played; so it is before run 1,
    // since only a press may open the sound.
    if (stopped && (isDue || !choice)) {
      asked.current.add(key);
      return ask();
    }
    const between = transport === "breather" || transport === "asking" || transport === "resting";
    if (!isDue || !choice || !(between || isInTime(state))) return;
    asked.current.add(key);
    void desk.record(choice);
  }, [key, desk, isDue, transport, state, trial, ask]);
}
