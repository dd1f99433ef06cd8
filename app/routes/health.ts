import { anyRoom } from "~/server/cases/rooms";
import { servicesOf } from "~/server/context";
import type { Route } from "./+types/health";

const told = (sentence: string, status: number) =>
  new Response(`${sentence}\n`, { status, headers: { "Content-Type": "text/plain" } });

/** Answers once the database does, and says so when it doesn't any more. */
export const loader = async ({ context }: Route.LoaderArgs) => {
  try {
    await anyRoom(servicesOf(context));
    return told("ok", 200);
  } catch {
    return told("The database does not answer.", 503);
  }
};
