import { addMinutes } from "date-fns";
import ical, { ICalEventTransparency } from "ical-generator";
import { addDays, momentOf, type Day } from "~/core/units";
import { openAccess, studioById } from "~/db/queries";
import { hashOf } from "../../access/secrets";
import type { Throttle } from "../../access/throttle";
import type { Services } from "../../services";
import { weekPage } from "./student-week";

const USUAL_LESSON_MINUTES = 45;

/** What the calendar says; its sentences come from outside. */
export interface CalendarWords {
  readonly name: (person: string) => string;
  readonly practice: string;
  readonly lesson: string;
  readonly line: (title: string, minutes: number) => string;
}

type Page = Awaited<ReturnType<typeof weekPage>>;
type Week = NonNullable<Page["week"]>;

/** The week that is on, and one that is prepared: it is in the calendar before it begins. */
async function weeksTold(services: Services, studioId: string, personId: string) {
  const page = await weekPage(services, studioId, personId);
  const next = page.weeks.find(({ from }) => from > page.today);
  const ahead =
    next && next.id !== page.week?.id
      ? (await weekPage(services, studioId, personId, next.id)).week
      : undefined;
  const { week: on } = page;
  // A week whose lesson is late goes on until the next one begins, and no longer.
  const cut = on && ahead && on.until > ahead.from ? { ...on, until: ahead.from } : on;
  return { page, weeks: [cut, ahead].filter((week): week is Week => week !== undefined) };
}

/**
 * The week as iCalendar (RFC 5545), and the next one as soon as it is set: practice at the times
 * that there are, or the whole day without any, and the lessons. Times are moments in UTC, so that
 * no zone has to be sent along.
 */
export async function weekCalendar(
  services: Services,
  studioId: string,
  personId: string,
  words: CalendarWords,
): Promise<string> {
  const studio = await studioById(services.db, studioId);
  const { page, weeks } = await weeksTold(services, studioId, personId);
  const calendar = ical({
    name: words.name(page.person.name),
    prodId: { company: "Fidus", product: "Week", language: "EN" },
  });
  const stamp = new Date(services.now());
  const at = (day: Day, time: string) => new Date(momentOf(day, time, studio.time_zone));
  for (const week of weeks) {
    const days = week.days.filter(({ day, asked }) => day < week.until && asked.length > 0);
    for (const { day, asked, times } of days) {
      const title = (itemId: string) => week.items.find(({ id }) => id === itemId)?.title ?? "";
      const lines = asked.map(({ itemId, minutes }) => words.line(title(itemId), minutes));
      const minutes = asked.reduce((sum, each) => sum + each.minutes, 0);
      const start = times[0] && at(day, times[0].from);
      calendar.createEvent({
        id: `${personId}-${day}@fidus`,
        stamp,
        summary: words.practice,
        description: lines.join("\n"),
        transparency: ICalEventTransparency.TRANSPARENT,
        ...(start
          ? { start, end: addMinutes(start, minutes) }
          : {
              start: new Date(`${day}T00:00:00Z`),
              end: new Date(`${addDays(day, 1)}T00:00:00Z`),
              allDay: true,
            }),
      });
    }
    if (!page.lesson) continue;
    const start = at(week.until, page.lesson.from);
    calendar.createEvent({
      id: `${personId}-lesson-${week.until}@fidus`,
      stamp,
      summary: words.lesson,
      start,
      end: addMinutes(start, page.lesson.minutes || USUAL_LESSON_MINUTES),
    });
  }
  return calendar.toString();
}

/** Whose calendar a private address is: nothing for a guess, and seconds to wait after many. */
export async function calendarOf(
  { db, now }: Services,
  { throttle, address }: { readonly throttle: Throttle; readonly address: string },
  secret: string,
): Promise<{ studioId: string; personId: string } | { wait: number } | undefined> {
  const keys = [`calendar from ${address}`];
  const wait = throttle.wait(keys);
  if (wait > 0) return { wait };
  const access = await openAccess(db, "calendar", hashOf(secret), new Date(now()));
  if (access) return { studioId: access.studio_id, personId: access.person_id };
  throttle.failed(keys);
  return undefined;
}
