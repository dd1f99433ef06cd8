import type { Ladder } from "~/core/ladder";
import type { Shape } from "~/core/session";
import type { LibraryKind } from "~/core/week";
import { words } from "~/words";

/** A thing of the library: a ladder, a plan of sessions, or an exercise. */
export interface LibraryLine {
  readonly id: string;
  readonly kind: LibraryKind;
  readonly name: string;
  /** Milliseconds since 1970. */
  readonly keptAt: number;
  readonly ladder: Ladder | null;
  readonly shape: Shape | null;
  readonly exercise: {
    readonly bars: number;
    readonly version: number;
    readonly passages: number;
    readonly ladders: readonly Ladder[];
    /** To so many students. */
    readonly given: number;
  } | null;
}

/** What a thing of the library is, in a line. */
export function inShort({ ladder, shape, exercise }: LibraryLine): string {
  if (ladder) {
    const schools = ladder.phases.map(({ school }) => words.ladder.schools[school.name].label);
    const gate = ladder.gate.map(words.gate.told).join(` ${words.and} `);
    return `${schools.join(" → ")}; ${gate}; ${words.click.told(ladder.click)}`;
  }
  if (shape) {
    return shape.map(({ kind, span }) => `${words.block[kind].name} ${span.ideal}`).join(" · ");
  }
  return exercise ? words.library.exercise(exercise) : "";
}
