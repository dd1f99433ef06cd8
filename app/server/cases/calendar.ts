import { addMinutes } from "date-fns";
import ical, { ICalEventTransparency } from "ical-generator";
import { addDays, momentOf } from "~/core/units";
import { openAccess, studioById } from "~/db/queries";
import { hashOf } from "../access/secrets";
import type { Throttle } from "../access/throttle";
import type { Services } from "../services";
import { weekPage } from "./student-week";

const USUAL_LESSON_MINUTES = 45;

/** What the calendar says; its sentences come from outside. */
export interface CalendarWords {
  readonly name: (person: string) => string;
  readonly practice: string;
  readonly lesson: string;
  readonly line: (title: string, minutes: number) => string;
}

/**
 * The week as iCalendar (RFC 5545): practice at the times that there are, or the whole day without
 * any, and the next lesson. Times are moments in UTC, so that no zone has to be sent along.
 */
export async function weekCalendar(
  services: Services,
  studioId: string,
  personId: string,
  words: CalendarWords,
): Promise<string> {
  const studio = await studioById(services.db, studioId);
  const page = await weekPage(services, studioId, personId);
  const calendar = ical({
    name: words.name(page.person.name),
    prodId: { company: "Fidus", product: "Week", language: "EN" },
  });
  const { week } = page;
  const stamp = new Date(services.now());
  for (const day of week?.days ?? []) {
    if (day.asked.length === 0) continue;
    const lines = day.asked.map(({ itemId, minutes }) =>
      words.line(week!.items.find(({ id }) => id === itemId)?.title ?? "", minutes),
    );
    const minutes = day.asked.reduce((sum, each) => sum + each.minutes, 0);
    const first = day.times[0];
    const start = first ? new Date(momentOf(day.day, first.from, studio.time_zone)) : undefined;
    calendar.createEvent({
      id: `${personId}-${day.day}@fidus`,
      stamp,
      summary: words.practice,
      description: lines.join("\n"),
      transparency: ICalEventTransparency.TRANSPARENT,
      ...(start
        ? { start, end: addMinutes(start, minutes) }
        : {
            start: new Date(`${day.day}T00:00:00Z`),
            end: new Date(`${addDays(day.day, 1)}T00:00:00Z`),
            allDay: true,
          }),
    });
  }
  if (week && page.lesson) {
    const start = new Date(momentOf(week.until, page.lesson.from, studio.time_zone));
    const length = page.lesson.minutes || USUAL_LESSON_MINUTES;
    calendar.createEvent({
      id: `${personId}-lesson-${week.until}@fidus`,
      stamp,
      summary: words.lesson,
      start,
      end: addMinutes(start, length),
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
