import { forStudent } from "~/server/access/guard";
import { weekCalendar } from "~/server/cases/week/calendar";
import { calendarWords } from "~/words/calendar";
import type { Route } from "./+types/calendar-file";

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const text = await weekCalendar(services, studioId, personId, calendarWords);
    const disposition = 'attachment; filename="week.ics"';
    return new Response(text, {
      headers: {
        "Content-Type": "text/calendar; charset=utf-8",
        "Cache-Control": "private, no-store",
        "Content-Disposition": disposition,
      },
    });
  });
