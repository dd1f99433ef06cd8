import type { RecordedRep } from "~/core/record";
import type { CountedRep } from "~/db/queries";

interface PlayKind {
  readonly passageId: string;
  readonly rep: RecordedRep;
  readonly count: number;
}

/** Judged plays that say something of a passage, so many of each kind, by a name of the kind. */
export type PlayKinds = ReadonlyMap<string, PlayKind>;

function kindOf({ passageId, top: tempo, verdict, share, cycle, key }: CountedRep) {
  const rep: RecordedRep = { tempo, verdict, share, cycle, key };
  return [JSON.stringify([passageId, rep]), { passageId, rep }] as const;
}

/** The kinds after some plays are gone and others have come. */
export function changedKinds(
  before: PlayKinds,
  gone: readonly CountedRep[],
  come: readonly CountedRep[],
): PlayKinds {
  const kinds = new Map(before);
  const add = (reps: readonly CountedRep[], by: 1 | -1) => {
    for (const each of reps) {
      // What was done instead of the whole task says nothing of the passage.
      if (each.layer !== undefined) continue;
      const [name, kind] = kindOf(each);
      const count = (kinds.get(name)?.count ?? 0) + by;
      if (count === 0) kinds.delete(name);
      else kinds.set(name, { ...kind, count });
    }
  };
  add(gone, -1);
  add(come, 1);
  return kinds;
}

/** The plays of a passage. */
export const playsOf = (kinds: PlayKinds, passageId: string): RecordedRep[] =>
  [...kinds.values()].flatMap((kind) =>
    kind.passageId === passageId ? [{ ...kind.rep, count: kind.count }] : [],
  );
