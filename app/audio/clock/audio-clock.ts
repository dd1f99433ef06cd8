/** Tells what is being heard now, in seconds of the audio context. */
export interface AudioClock {
  heardNow(): number;
}

/**
 * The clock of a live context: its output timestamp carried on with performance time, so that it
 * runs smoothly between the 10 ms steps of `currentTime`.
 */
export function outputClock(context: AudioContext): AudioClock {
  return {
    heardNow() {
      const { contextTime, performanceTime } = context.getOutputTimestamp();
      if (!contextTime || performanceTime === undefined) return context.currentTime;
      return contextTime + (performance.now() - performanceTime) / 1000;
    },
  };
}
