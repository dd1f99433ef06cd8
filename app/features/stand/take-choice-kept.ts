import { kept as onDevice } from "~/components/kept";
import type { TakeChoice } from "./take-choice";

const KEY = "fidus-take";
/** As late as a usual device is. */
const SIMULATED_SECONDS = 0.12;

const kept = (name: string) => onDevice.get(`${KEY}-${name}`);
/** How late the stand-in is, where somebody has set it on this device. */
const delaySet = () => kept("delay");
export const delaySeconds = () => Number(delaySet() ?? SIMULATED_SECONDS);

/** Whether a stand-in for the microphone is offered on this device. */
export const standInOffered = (trial: boolean): boolean => trial || delaySet() !== null;

/** What was chosen before, in part where not all of it was. */
export const chosenBefore = () => ({
  headphones: kept("headphones") === "yes",
  onlyCountIn: kept("count-in") === "yes",
  device: kept("microphone") === "device",
});

/** What was chosen before on this device; undefined before the first time. */
export function lastTakeChoice(trial: boolean): TakeChoice | undefined {
  if (kept("headphones") === null) return undefined;
  const { headphones, onlyCountIn, device } = chosenBefore();
  const simulated = standInOffered(trial) && !device ? delaySeconds() : undefined;
  return { headphones, onlyCountIn, simulated };
}

export function keepTakeChoice({ headphones, onlyCountIn, simulated }: TakeChoice): void {
  onDevice.set(`${KEY}-headphones`, headphones ? "yes" : "no");
  onDevice.set(`${KEY}-count-in`, onlyCountIn ? "yes" : "no");
  onDevice.set(`${KEY}-microphone`, simulated === undefined ? "device" : "simulated");
}
