import { Outlet } from "react-router";
import { ZoneProvider } from "~/components/locale";
import { DeskHeader } from "~/features/desk/desk-header";
import { forMember } from "~/server/access/guard";
import { deskOf } from "~/server/cases/people/rooms";
import type { Route } from "./+types/desk";

export const loader = (asked: Route.LoaderArgs) =>
  forMember(asked, ({ services, who }) => deskOf(services, who));

export const shouldRevalidate = () => false;

export default function Desk({ loaderData }: Route.ComponentProps) {
  return (
    <ZoneProvider timeZone={loaderData.timeZone}>
      <DeskHeader {...loaderData} />
      <Outlet />
    </ZoneProvider>
  );
}
