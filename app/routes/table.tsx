import { data } from "react-router";
import { TablePage } from "~/features/records/table-page";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { bringTableIn, tablePage } from "~/server/cases/room/table-in";
import { words } from "~/words";
import { tableWords } from "~/words/table-in";
import type { Route } from "./+types/table";

export const meta = () => [{ title: words.title(tableWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => ({
    studioId,
    ...(await tablePage(services, studioId)),
  }));

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const sent = (await formOf(asked.request)).get("table");
    const brought = await bringTableIn(services, studioId, typeof sent === "string" ? sent : "");
    return brought.ok
      ? { brought: brought.value }
      : data({ sentence: brought.error }, { status: 422 });
  });

export default function Table({ loaderData, actionData }: Route.ComponentProps) {
  return <TablePage {...loaderData} answer={actionData} />;
}
