import { materialOf } from "~/core/ladder";
import type { AdviceFacts } from "~/core/judge";
import { chanceIn, honestTarget } from "~/core/record";
import { addDays, daysBetween, MINUTE_MS, stretchesOf, type Day } from "~/core/units";
import { playLasts } from "~/core/session";
import type { Queries } from "~/db/client";
import {
  earOf,
  flawsOfPerson,
  lastSitting,
  reachedSince,
  tempoTallies,
  type Passage,
} from "~/db/queries";
import { blockOf } from "./block-of";
import { stateOf } from "./passage-line";
import { aheadOf, daysAhead, LEAST_PLAYS, type AheadInputs } from "./ahead";
import { standingOf } from "./standing";

/** So far back rules look. */
const LOOK_BACK_DAYS = 42;
const FLAW_DAYS = 28;

type PassageFacts = AdviceFacts["passages"][number];

/** The chance of a passage at the concert, and what target would hold. */
function concertOf(passage: Passage, inputs: AheadInputs): PassageFacts["concert"] {
  const { concert, today } = inputs;
  if (!concert || concert < today || passage.plays < LEAST_PLAYS) return undefined;
  const ahead = aheadOf(passage, inputs);
  if (!ahead) return undefined;
  const days = daysAhead(today, concert);
  const chance = chanceIn(ahead.level, days, ahead);
  return { day: concert, chance, honest: honestTarget({ ...ahead, days }) };
}

/** Minutes of the longest stretch of playing without a break. */
const longestMinutes = (moments: readonly number[]): number =>
  Math.max(0, ...stretchesOf(moments).map(({ from, to }) => to - from)) / MINUTE_MS;

/** Everything that the rules of advice look at. */
export async function adviceFacts(
  db: Queries,
  studioId: string,
  personId: string,
  passages: readonly Passage[],
  inputs: AheadInputs,
): Promise<AdviceFacts> {
  const { today } = inputs;
  const since = addDays(today, -LOOK_BACK_DAYS);
  const [tallies, reached, sitting, flaws, ear] = await Promise.all([
    tempoTallies(db, studioId, personId, since),
    reachedSince(db, studioId, personId, since),
    lastSitting(db, studioId, personId),
    flawsOfPerson(db, studioId, personId, addDays(today, -FLAW_DAYS)),
    earOf(db, studioId, personId),
  ]);
  const daysOf = (id: string): PassageFacts["days"] =>
    reached
      .filter(({ passage_id }) => passage_id === id)
      .map((each) => {
        const own = tallies.filter(({ passage_id, day }) => passage_id === id && day === each.day);
        return {
          day: each.day,
          reached: each.reached ?? undefined,
          tempi: own.filter(({ plays }) => plays > 0),
          tense: own.reduce((sum, { tense }) => sum + tense, 0),
        };
      });
  return {
    today,
    ear,
    lastSitting: sitting && { day: sitting.day, unbroken: longestMinutes(sitting.moments) },
    passages: passages.flatMap((passage): PassageFacts[] => {
      const { ladder } = passage;
      const days = daysOf(passage.id);
      const standing = standingOf(passage, today);
      const last: Day | undefined = days.at(-1)?.day;
      if (!ladder || !standing || last === undefined) return [];
      const block = blockOf(passage, today)!;
      const part =
        ladder.part && materialOf({ links: undefined, stage: 0, task: undefined }, ladder.part);
      const partAtTarget = passage.passed.filter(
        ({ material, top }) => material === part && top >= ladder.target,
      );
      const atTarget = passage.passed.filter(({ whole, top }) => whole && top >= ladder.target);
      return [
        {
          id: passage.id,
          pieceId: passage.pieceId,
          fromBar: passage.fromBar,
          toBar: passage.toBar,
          ladder,
          target: ladder.target,
          start: block.start,
          lasts: playLasts(block),
          comfortable: standing.comfortable,
          ceiling: standing.ceilingMet ? standing.ceiling.value : undefined,
          advised: standing.advised,
          safe: stateOf(passage, today) === "safe",
          days,
          daysOff: daysBetween(last, today),
          daysAtTarget: Math.max(0, ...atTarget.map((each) => each.days)),
          partAtTarget: Math.max(0, ...partAtTarget.map((each) => each.days)),
          flaws: flaws.filter(({ passage_id }) => passage_id === passage.id),
          concert: concertOf(passage, inputs),
        },
      ];
    }),
  };
}
