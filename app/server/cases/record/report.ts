import * as v from "valibot";
import { gradeOf, gradeRuleSchema, USUAL_RULE, type GradeRule, type ReportLine } from "~/core/week";
import { err, ok, type Result } from "~/core/result";
import { addDays, daysBetween, type Day } from "~/core/units";
import {
  cameOn,
  gradeRuleOf,
  groupsOf,
  handedInOfAll,
  practiceOfAll,
  setGradeRule,
  studentsOf,
  studioById,
} from "~/db/queries";
import { LONGEST_DAYS, type ReportQuery } from "~/forms/report";
import { askedBetween } from "../../plan/asked-between";
import { byPerson } from "../../plan/week-plan";
import { todayIn, type Services } from "../../services";

const DAYS_A_WEEK = 7;
const USUAL_DAYS = 28;

/** The days of a report: as they are asked for, or four weeks up to today. */
function periodOf({ from, to }: ReportQuery, today: Day): { from: Day; to: Day } {
  const until = to || (from > today ? from : today);
  const earliest = addDays(until, -LONGEST_DAYS);
  const since = from || addDays(until, 1 - USUAL_DAYS);
  return { from: since < earliest ? earliest : since, to: until };
}

/** So many students are asked for at once: what others ask comes in between. */
const AT_ONCE = 8;

async function ofSome<T>(
  ids: readonly string[],
  ask: (some: readonly string[]) => Promise<readonly T[]>,
): Promise<T[]> {
  const all: T[] = [];
  for (let from = 0; from < ids.length; from += AT_ONCE) {
    all.push(...(await ask(ids.slice(from, from + AT_ONCE))));
  }
  return all;
}

/** Practice of a person, a group or everyone between two days, graded by the teacher's rule. */
export async function reportPage(services: Services, studioId: string, query: ReportQuery) {
  const { db } = services;
  const [studio, students, groups, kept] = await Promise.all([
    studioById(db, studioId),
    studentsOf(db, studioId),
    groupsOf(db, studioId),
    gradeRuleOf(db, studioId),
  ]);
  const today = todayIn(services, studio);
  const { from, to } = periodOf(query, today);
  const group = groups.find(({ id }) => id === query.group);
  const named = students.find(({ id }) => id === query.person);
  const whole = query.group === "" && query.person === "";
  const chosen = students.filter(
    ({ id }) => whole || id === named?.id || group?.members.includes(id),
  );
  const of = chosen.map(({ id }) => id);
  const rule = kept ?? USUAL_RULE;
  const timeZone = studio.time_zone;
  const practice = await ofSome(of, (some) => practiceOfAll(db, studioId, { of: some, from, to }));
  const items = new Map<string, ReportLine["items"]>();
  for (const student of chosen) {
    items.set(student.id, await askedBetween(db, studioId, student, { from, to }, today));
  }
  const takes = await ofSome(of, (some) =>
    handedInOfAll(db, studioId, { of: some, from, to, timeZone }),
  );
  const came = await ofSome(of, (some) => cameOn(db, studioId, { of: some, timeZone }));
  const [practiceFor, takesFor] = [byPerson(practice), byPerson(takes)];
  const cameFor = byPerson(came);
  return {
    room: studio.name,
    query: { group: query.group, person: query.person, from, to },
    who: group?.name ?? named?.name,
    groups: groups.map(({ id, name }) => ({ id, name })),
    students: students.map(({ id, name }) => ({ id, name })),
    rule,
    lines: chosen.map(({ id, name, instrument }): ReportLine => {
      const [did] = practiceFor(id);
      const [handed] = takesFor(id);
      const minutes = Math.round(did?.minutes ?? 0);
      const days = did?.days ?? 0;
      const done = items.get(id)!;
      const first = cameFor(id)[0]?.day ?? from;
      const since = first > from ? first : undefined;
      const length = Math.max(0, daysBetween(since ?? from, to) + 1);
      const weeks = length / DAYS_A_WEEK;
      const brought = { asked: handed?.asked ?? 0, handedIn: handed?.handed_in ?? 0 };
      return {
        ...{ id, name, instrument, since, weeks, days, minutes, byHand: did?.by_hand ?? 0 },
        sessions: did?.sessions ?? 0,
        regularity: length > 0 ? days / length : 0,
        items: done,
        takes: { ...brought, late: handed?.late ?? 0 },
        ratings: handed?.ratings ?? [],
        grade: gradeOf(rule, { weeks, minutes, days, items: done, takes: brought }),
      };
    }),
  };
}

/** Keeps the rule by which practice is graded. */
export async function keepRule(
  { db }: Services,
  studioId: string,
  form: FormData,
): Promise<Result<GradeRule, string>> {
  const number = (name: string) => Number(form.get(name));
  const weights = { minutes: "weight-minutes", days: "weight-days", items: "weight-items" };
  const read = v.safeParse(gradeRuleSchema, {
    minutes: number("minutes"),
    days: number("days"),
    weights: {
      minutes: number(weights.minutes),
      days: number(weights.days),
      items: number(weights.items),
      takes: number("weight-takes"),
    },
    cap: number("cap"),
  });
  if (!read.success) return err("This rule can't be kept: a number lies outside its slider.");
  await setGradeRule(db, studioId, read.output);
  return ok(read.output);
}
