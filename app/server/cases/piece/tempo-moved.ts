import { ladderAtFull, ladderInPercent, type Ladder, type MovedLadder } from "~/core/ladder";
import { err, ok, type Result } from "~/core/result";
import { nearestPlayable, type Bpm, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { assignmentsOf, passageById, studioById, type Passage } from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { openItems, weekOn } from "../../plan/week-on";
import { todayIn, type Services } from "../../services";
import type { OfPiece } from "./of-piece";
import { passageTempo } from "../../plan/passage-tempo";
import { setLadder } from "./passages";

const SAME = 0.05;

/** The full tempo that a ladder goes to; undefined where its target was typed by hand. */
function fullOf({ of, mark, target }: Ladder): number | undefined {
  if (of !== null) return of;
  return mark !== null && target === nearestPlayable(mark) ? mark : undefined;
}

/** What the weeks that are set for a student ask for. */
async function asked(db: Queries, studioId: string, personId: string, today: Day) {
  const week = weekOn(await assignmentsOf(db, studioId, personId, 3), today);
  return new Set(week ? openItems(week).flatMap(({ passageId }) => passageId ?? []) : []);
}

/** The ladders that the tempi of their piece would change, if their teacher wants. */
export async function movedLadders(
  services: Services,
  { studioId, personId, pieceId }: OfPiece,
  passages: readonly Passage[],
): Promise<MovedLadder[]> {
  const { db } = services;
  const moved = passages.flatMap((passage) => {
    if (passage.pieceId !== pieceId || !passage.ladder || !passage.piece.tempi) return [];
    const was = fullOf(passage.ladder);
    const { full: is } = passageTempo(passage);
    if (was === undefined || Math.abs(was - is) < SAME) return [];
    return [{ passageId: passage.id, fromBar: passage.fromBar, toBar: passage.toBar, was, is }];
  });
  if (moved.length === 0) return [];
  const today = todayIn(services, await studioById(db, studioId));
  const inWeek = await asked(db, studioId, personId, today);
  return moved.map((each) => ({ ...each, inWeek: inWeek.has(each.passageId) }));
}

/** The ladder to another full tempo: its percents again, or its target alone. */
function withFull(ladder: Ladder, full: Bpm): Ladder {
  const { of } = ladder;
  if (of === null) {
    const target = nearestPlayable(full);
    return { ...ladder, target, start: Math.min(ladder.start, target) as Bpm };
  }
  return ladderAtFull(ladderInPercent(ladder, of), full);
}

/** Takes a ladder to the tempo to which its piece has moved; not within a week that asks for it. */
export async function moveLadder(
  services: Services,
  { studioId, personId }: OfPiece,
  passageId: string,
): Promise<Result<undefined, FormRefused>> {
  const { db } = services;
  const passage = await passageById(db, studioId, passageId);
  const today = todayIn(services, await studioById(db, studioId));
  if ((await asked(db, studioId, personId, today)).has(passageId)) {
    const tempi = "This week asks for it as it is; change it at the lesson.";
    return err({ errors: { tempi }, values: {} });
  }
  const { full } = passageTempo(passage);
  if (passage.ladder) {
    await setLadder(services, studioId, passageId, withFull(passage.ladder, full));
  }
  return ok(undefined);
}
