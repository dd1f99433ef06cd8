import type { Verdict } from "~/core/gate";

/** What of a play is counted. */
interface Countable {
  readonly rung: number;
  readonly tempo: number;
  readonly top: number;
  readonly byClock?: true;
  readonly complete: boolean;
  readonly endingWell: boolean;
}

interface Tried {
  readonly plays: number;
  readonly clean: number;
}

/** What was done of a block so far: kept up with each play, however many there are. */
export interface Done extends Tried {
  /** Anything was played, judged or not. */
  readonly begun: boolean;
  /** The fastest tempo that was played to its end by the clock. */
  readonly byClock: number | undefined;
  /** Judged plays of each rung at each tempo. */
  readonly at: ReadonlyMap<string, Tried>;
}

export const NOTHING_DONE: Done = {
  begun: false,
  plays: 0,
  clean: 0,
  byClock: undefined,
  at: new Map(),
};

const NEVER: Tried = { plays: 0, clean: 0 };
const placeOf = ({ rung, tempo }: Pick<Countable, "rung" | "tempo">) => `${rung} ${tempo}`;

/** The judged plays of a rung at a tempo. */
export const triedAt = ({ at }: Done, place: Pick<Countable, "rung" | "tempo">): Tried =>
  at.get(placeOf(place)) ?? NEVER;

export const withPlay = (done: Done, { byClock, complete, top }: Countable): Done => ({
  ...done,
  begun: true,
  byClock: byClock && complete ? Math.max(done.byClock ?? 0, top) : done.byClock,
});

/** The slow play at the end is not among what was tried. */
export function withVerdict(done: Done, play: Countable, verdict: Verdict): Done {
  if (play.endingWell) return done;
  const more = ({ plays, clean }: Tried): Tried => ({
    plays: plays + 1,
    clean: clean + (verdict === "clean" ? 1 : 0),
  });
  const at = new Map(done.at).set(placeOf(play), more(triedAt(done, play)));
  return { ...done, ...more(done), at };
}
