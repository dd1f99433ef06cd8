import type { Counter, JudgedPlay } from "../rule";

/** Counts the plays of which something is so. */
export class Tally implements Counter {
  count = 0;

  constructor(
    private readonly needed: number,
    private readonly counts: (play: JudgedPlay) => boolean,
  ) {}

  get holds() {
    return this.count >= this.needed;
  }

  play(play: JudgedPlay) {
    if (this.counts(play)) this.count++;
    return this.holds;
  }

  reset() {
    this.count = 0;
  }
}
