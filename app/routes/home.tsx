import { redirect } from "react-router";
import { callerOf, startOf } from "~/server/access/door";
import { answering } from "~/server/boundary";
import { anyRoom } from "~/server/cases/people/rooms";
import { servicesOf } from "~/server/context";
import type { Route } from "./+types/home";

/** To where this person begins; a server without a room begins with opening one. */
export const loader = ({ context }: Route.LoaderArgs) =>
  answering(async () => {
    const who = await callerOf(context).who();
    if (who) throw redirect(startOf(who));
    throw redirect((await anyRoom(servicesOf(context))) ? "/sign-in" : "/open");
  });
