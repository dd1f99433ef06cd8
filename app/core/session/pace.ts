import * as v from "valibot";
import { breatherSchema, countInSchema, type ClickProgramme } from "~/core/click";
import type { Ladder } from "~/core/ladder";

const pace = { countIn: countInSchema, breather: breatherSchema };

/** What the player sets of a ladder's click: how long is counted and breathed. */
export const paceSchema = v.object(pace);
export type PlayersPace = v.InferOutput<typeof paceSchema>;

/** The same as it is kept from day to day, with what the ladder itself says. */
export const keptPaceSchema = v.object({ ...pace, instead: paceSchema });
export type KeptPace = v.InferOutput<typeof keptPaceSchema>;

type Paced = Pick<Ladder, "click">;

export const ownPace = ({ click: { countIn, breather } }: Paced): PlayersPace => ({
  countIn,
  breather,
});

/** What a player set holds until the ladder says something else than it did then. */
export function keptPace(kept: KeptPace | null, ladder: Paced): PlayersPace | undefined {
  if (!kept) return undefined;
  const { instead, ...set } = kept;
  const same = JSON.stringify(instead) === JSON.stringify(v.parse(paceSchema, ownPace(ladder)));
  return same ? set : undefined;
}

/** A ladder as this player plays it. */
export const withPace = <T extends { readonly click: ClickProgramme }>(
  ladder: T,
  set: PlayersPace | undefined,
): T => (set ? { ...ladder, click: { ...ladder.click, ...set } } : ladder);
