import { useEffect, useState } from "react";
import * as v from "valibot";
import { kept as onDevice } from "~/components/kept";

const KEY = "fidus-volume";
const USUAL = 0.7;
const volumeSchema = v.pipe(
  v.string(),
  v.transform(Number),
  v.number(),
  v.minValue(0),
  v.maxValue(1),
);

/** The volume of the click, 0–1, remembered on this device. */
export function useVolume() {
  const [volume, setVolume] = useState(USUAL);
  useEffect(() => {
    const kept = v.safeParse(volumeSchema, onDevice.get(KEY));
    if (kept.success) setVolume(kept.output);
  }, []);
  return {
    volume,
    setVolume(next: number) {
      setVolume(next);
      onDevice.set(KEY, String(next));
    },
  };
}
