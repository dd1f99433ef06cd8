import { callerOf } from "~/server/access/door";
import { answering } from "~/server/boundary";
import { calendarOf, weekCalendar } from "~/server/cases/week/calendar";
import { servicesOf } from "~/server/context";
import { calendarWords } from "~/words/calendar";
import type { Route } from "./+types/calendar";

const say = (status: number, sentence: string) =>
  new Response(`${sentence}\n`, { status, headers: { "Content-Type": "text/plain" } });

/** The private address: whoever has it sees this week's practice and nothing else. */
export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { door, address } = callerOf(context);
    const services = servicesOf(context);
    const secret = params.file.replace(/\.ics$/, "");
    const trying = { throttle: door.throttle, address };
    const found = await calendarOf(services, trying, secret);
    if (!found) return say(404, "There is no calendar at this address.");
    if ("wait" in found) return say(429, "Too many tries. Wait a while, then try again.");
    const text = await weekCalendar(services, found.studioId, found.personId, calendarWords);
    return new Response(text, {
      headers: {
        "Content-Type": "text/calendar; charset=utf-8",
        "Cache-Control": "private, no-store",
      },
    });
  });
