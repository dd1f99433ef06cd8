/** Tells what is being heard now, in seconds of the audio context. */
export interface AudioClock {
  heardNow(): number;
  /** What was heard at a moment of the page's clock, such as an event's time stamp. */
  heardAt(timeStamp: number): number;
}

/**
 * The clock of a live context: its output timestamp carried on with performance time, so that it
 * runs smoothly between the 10 ms steps of `currentTime`.
 */
export function outputClock(context: AudioContext): AudioClock {
  const heardAt = (timeStamp: number) => {
    const { contextTime, performanceTime } = context.getOutputTimestamp();
    if (!contextTime || performanceTime === undefined) return context.currentTime;
    return contextTime + (timeStamp - performanceTime) / 1000;
  };
  return { heardAt, heardNow: () => heardAt(performance.now()) };
}
