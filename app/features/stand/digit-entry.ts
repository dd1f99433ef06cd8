/** Two digits belong together when the second comes within this time. */
const TOGETHER_MS = 700;

/** Called with a place in the passage, from 1. */
type Choose = (place: number) => void;

/**
 * Bars chosen by digits: 1 to 9 and 0 for the tenth; above nine bars two digits within 0.7 s are
 * one number.
 */
export class DigitEntry {
  private first:
    { readonly digit: number; readonly timer: ReturnType<typeof setTimeout> } | undefined;

  press(digit: number, bars: number, choose: Choose): void {
    const { first } = this;
    this.cancel();
    if (first) {
      const both = first.digit * 10 + digit;
      if (both <= bars) return choose(both);
      this.one(first.digit, bars, choose);
    }
    // A digit that could begin a two-digit place waits for the second.
    const mayGoOn = bars > 9 && digit > 0 && digit * 10 <= bars;
    if (!mayGoOn) return this.one(digit, bars, choose);
    const alone = () => {
      this.first = undefined;
      this.one(digit, bars, choose);
    };
    this.first = { digit, timer: setTimeout(alone, TOGETHER_MS) };
  }

  private one(digit: number, bars: number, choose: Choose): void {
    const place = digit === 0 ? 10 : digit;
    if (place <= bars) choose(place);
  }

  cancel(): void {
    clearTimeout(this.first?.timer);
    this.first = undefined;
  }
}
