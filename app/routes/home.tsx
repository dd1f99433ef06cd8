import { redirect } from "react-router";
import { RoomChoice } from "~/features/room/room-choice";
import { answering } from "~/server/boundary";
import { rooms } from "~/server/cases/rooms";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/home";

export const meta = () => [{ title: words.name }];

export const loader = ({ context }: Route.LoaderArgs) =>
  answering(async () => {
    const all = await rooms(servicesOf(context));
    if (all.length === 0) throw redirect("/open");
    if (all.length === 1) throw redirect(`/studio/${all[0]!.id}`);
    return { rooms: all };
  });

export default function Home({ loaderData }: Route.ComponentProps) {
  return <RoomChoice rooms={loaderData.rooms} />;
}
