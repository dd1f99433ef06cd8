import { anyRoom } from "~/server/cases/people/rooms";
import { backupsOf, servicesOf } from "~/server/context";
import { callerOf } from "~/server/access/door";
import type { Route } from "./+types/health";

const told = (sentence: string, status: number) =>
  new Response(`${sentence}\n`, { status, headers: { "Content-Type": "text/plain" } });

/**
 * Answers once the database does, and says so when it doesn't any more. Whoever runs the server, on
 * its own machine, is told how old the newest backup is as well.
 */
export const loader = async ({ context }: Route.LoaderArgs) => {
  try {
    await anyRoom(servicesOf(context));
    if (!callerOf(context).isHere) return told("ok", 200);
    const hours = await backupsOf(context).hoursOld();
    return told(`ok\nbackup: ${hours === undefined ? "none" : `${hours} h old`}`, 200);
  } catch {
    return told("The database does not answer.", 503);
  }
};
