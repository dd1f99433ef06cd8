import * as v from "valibot";
import { sessionEventSchema, type EventKind, type SessionEvent } from "..";

export const NOON = Date.UTC(2026, 4, 4, 12);

/** Writes events as the stand does: ids of its own, positions without gaps. */
export class EventWriter {
  readonly events: SessionEvent[] = [];

  constructor(private at = NOON) {}

  write(kind: EventKind, payload: object = {}): string {
    const id = crypto.randomUUID();
    this.at += 12_000;
    const event = { id, seq: this.events.length, at: this.at, kind, payload };
    this.events.push(v.parse(sessionEventSchema, event));
    return id;
  }

  /** Plays at a tempo with a verdict each: "ccf". */
  plays(tempo: number, verdicts: string, bar?: number, range = { fromBar: 5, toBar: 8 }): void {
    for (const letter of verdicts) {
      const play = this.write("played", { tempo, seconds: 9, complete: true, ...range });
      this.write("judged", { play, verdict: letter === "c" ? "clean" : "flawed" });
      if (letter === "f" && bar) this.write("detailed", { play, bar, what: "rhythm" });
    }
  }
}
