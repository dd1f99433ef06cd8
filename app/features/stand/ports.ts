import type { SessionEvent } from "~/core/session";
import type { Input } from "~/core/transport";
import type { AlongSources } from "./along-sources";
import { Ledger } from "./ledger";
import { LoopSound } from "./loop-sound";
import { PlayAlong } from "./play-along";
import { Takes } from "./takes";
import { Tapping } from "./tapping";

/** What the stand reaches of the world outside. */
export interface StandPorts {
  /** Milliseconds since 1970. */
  readonly now: () => number;
  readonly newId: () => string;
  /** Does something later; what it gives back takes that back. */
  readonly wait: (ms: number, then: () => void) => () => void;
  readonly sound: LoopSound;
  readonly store: Ledger;
  readonly takes: Takes;
  readonly along: PlayAlong;
  /** Tells how plays lay against their beats; another may come beside it. */
  readonly tapping: Tapping;
}

/** How the world outside is heard. */
export interface StandEars {
  readonly send: (input: Input) => void;
  /** Something that is shown beside the machine's state has changed. */
  readonly changed: () => void;
}

export interface BrowserOptions {
  readonly sessionId: string;
  /** Whose session it is. */
  readonly personId: string;
  /** What the server had when the page was made. */
  readonly stored: readonly SessionEvent[];
  /** Where events are sent. */
  readonly url: string;
  readonly volume: number;
  /** Demonstrations to play along with, and where their sound is. */
  readonly along: AlongSources;
  readonly alongAddress: (id: string) => string;
}

/** A browser with its sound, its disk, its microphone and its clock. */
export function browserPorts(options: BrowserOptions, { send, changed }: StandEars): StandPorts {
  const { sessionId, personId, stored, url, volume } = options;
  const takes = new Takes((takeId) => url.replace(/events$/, `takes/${takeId}`));
  let quiet = false;
  takes.subscribe(() => {
    if (quiet === takes.quiet) return;
    quiet = takes.quiet;
    send({ kind: "quiet", on: quiet });
  });
  return {
    now: Date.now,
    newId: () => crypto.randomUUID(),
    wait: (ms, then) => {
      const timer = setTimeout(then, ms);
      return () => clearTimeout(timer);
    },
    sound: new LoopSound(personId, (loop, name) => send({ kind: "marker", loop, name })),
    store: new Ledger({
      ...{ sessionId, stored, url },
      onEvents: (events) => send({ kind: "events", events }),
      onChange: changed,
    }),
    takes,
    along: new PlayAlong(options.along, options.alongAddress, volume),
    tapping: new Tapping(),
  };
}
