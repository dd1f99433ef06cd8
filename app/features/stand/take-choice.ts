/** What the player says before the first recording; remembered on this device. */
export interface TakeChoice {
  readonly headphones: boolean;
  /** While it is recorded nothing sounds but the count-in. */
  readonly onlyCountIn: boolean;
  /** A stand-in for a microphone, so many seconds late; only where it is offered. */
  readonly simulated: number | undefined;
  /** Seconds that clapping along was heard later, where it was tried since the sound was opened. */
  readonly clapped?: number | undefined;
}

/** What of a play its take is kept with. */
export interface TakenPlay {
  readonly id: string;
  readonly passage: string;
  readonly tempo: number;
  readonly rung: number;
}
