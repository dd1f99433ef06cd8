import { anyRoom } from "~/server/cases/rooms";
import { servicesOf } from "~/server/context";
import type { Route } from "./+types/health";

/** Answers once the database does. */
export const loader = async ({ context }: Route.LoaderArgs) => {
  await anyRoom(servicesOf(context));
  return new Response("ok\n", { headers: { "Content-Type": "text/plain" } });
};
