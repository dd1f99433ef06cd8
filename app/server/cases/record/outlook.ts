import { chanceIn, chanceTogether } from "~/core/record";
import { seeded } from "~/core/simulate";
import { addDays, type Day } from "~/core/units";
import {
  assignmentsOf,
  levelsByWeek,
  passagesOfPerson,
  studentById,
  studioById,
  type Passage,
  type Studio,
} from "~/db/queries";
import { aheadOf, daysAhead, LEAST_PLAYS, type AheadInputs } from "../../plan/ahead";
import { hurtSince, PAIN_DAYS } from "../../plan/pain";
import { weekOn } from "../../plan/week-on";
import { whatHappened } from "../../plan/week-plan";
import { todayIn, type Services } from "../../services";
import { passageLine } from "../../plan/passage-line";

const WEEKS_READ = 3;
const SEED = 20_261_127;

/** What the days ahead of a student go by. */
export async function aheadInputs(
  services: Services,
  studio: Studio,
  personId: string,
): Promise<AheadInputs> {
  const { db } = services;
  const today = todayIn(services, studio);
  const [{ times }, weeks, happened] = await Promise.all([
    studentById(db, studio.id, personId),
    assignmentsOf(db, studio.id, personId, WEEKS_READ),
    whatHappened(db, studio.id, personId, addDays(today, -PAIN_DAYS), today),
  ]);
  return {
    today,
    concert: studio.concert_on,
    week: weekOn(weeks, today),
    weekdays: new Set(times.windows.map(({ weekday }) => weekday)).size,
    hurts: hurtSince(happened) !== undefined,
  };
}

/** Passages of which something can be told, the weakest first, with the chance that all stand. */
function together(passages: readonly Passage[], inputs: AheadInputs, concert: Day) {
  const days = daysAhead(inputs.today, concert);
  const known = passages.flatMap((passage) => {
    const ahead = passage.plays < LEAST_PLAYS ? undefined : aheadOf(passage, inputs);
    return ahead ? [{ passage, ahead, chance: chanceIn(ahead.level, days, ahead) }] : [];
  });
  const ofMany = known.map(({ ahead }) => ahead);
  const weakest = Math.min(1, ...known.map(({ chance }) => chance));
  return {
    passages: known
      .map(({ passage, ahead, chance }) => ({
        line: passageLine(passage, inputs.today),
        target: ahead.target,
        practiceDays: passage.practiceDays,
        chance,
      }))
      .toSorted((one, other) => one.chance - other.chance),
    all: known.length === 0 ? null : Math.min(weakest, chanceTogether(ofMany, days, seeded(SEED))),
  };
}

/** The chance that all of some passages stand at the concert; null where nothing can be told. */
export const chanceOfAll = (
  passages: readonly Passage[],
  inputs: AheadInputs,
  concert: Day,
): number | null => together(passages, inputs, concert).all;

/** So many weeks back a chance is told. */
const WEEKS_BACK = 8;

type WeekLevel = Awaited<ReturnType<typeof levelsByWeek>>[number];

/** The chance of a passage as it was told by the end of each week, the oldest first, today's last. */
function overWeeks(
  passage: Passage,
  inputs: AheadInputs,
  concert: Day,
  weeks: readonly WeekLevel[],
): { day: Day; chance: number }[] {
  const ahead = aheadOf(passage, inputs);
  if (!ahead) return [];
  return weeks
    .filter(({ passage_id, day }) => passage_id === passage.id && day < inputs.today)
    .map(({ day, level }) => ({ day, chance: chanceIn(level, daysAhead(day, concert), ahead) }))
    .toSorted((one, other) => (one.day < other.day ? -1 : 1));
}

/** A student's passages by their chance to stand at the concert, piece by piece and all of them. */
export async function concertPage(services: Services, studioId: string, personId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const since = addDays(todayIn(services, studio), -7 * WEEKS_BACK);
  const [person, passages, inputs, weeks] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    aheadInputs(services, studio, personId),
    levelsByWeek(db, studioId, personId, since),
  ]);
  const { concert_on: day, concert_name: name } = studio;
  const concert = day !== null && day >= inputs.today ? { name, day } : null;
  const pieces = new Map<string, Passage[]>();
  for (const passage of passages) {
    pieces.set(passage.pieceId, [...(pieces.get(passage.pieceId) ?? []), passage]);
  }
  return {
    person: { id: person.id, name: person.name },
    today: inputs.today,
    hurts: inputs.hurts,
    concert,
    all: concert ? together(passages, inputs, concert.day).all : null,
    pieces: concert
      ? [...pieces.values()].map((own) => ({
          id: own[0]!.pieceId,
          title: own[0]!.piece.title,
          ...together(own, inputs, concert.day),
          weeks: Object.fromEntries(
            own.map((each) => [each.id, overWeeks(each, inputs, concert.day, weeks)]),
          ),
          /** Of these too little was played. */
          unknown: own.filter(({ plays }) => plays < LEAST_PLAYS).length,
        }))
      : [],
  };
}
