import { Outlet } from "react-router";
import { DeskHeader } from "~/features/desk/desk-header";
import { answering, idsOf } from "~/server/boundary";
import { roomOf } from "~/server/cases/rooms";
import { servicesOf } from "~/server/context";
import type { Route } from "./+types/desk";

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(() => {
    const { studioId } = idsOf(params as { studioId?: string }, "studioId");
    return roomOf(servicesOf(context), studioId);
  });

export const shouldRevalidate = () => false;

export default function Desk({ loaderData }: Route.ComponentProps) {
  return (
    <>
      <DeskHeader room={loaderData} />
      <Outlet />
    </>
  );
}
