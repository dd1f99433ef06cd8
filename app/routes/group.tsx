import { Board } from "~/features/group/board";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { idsOf } from "~/server/boundary";
import { groupBoard } from "~/server/cases/group/group-board";
import { takeBackItem } from "~/server/cases/group/groups";
import { words } from "~/words";
import type { Route } from "./+types/group";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(loaderData?.group.name ?? "") },
];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const { groupId } = idsOf(asked.params, "groupId");
    /** The item that was assigned just now. */
    const assigned = new URL(asked.request.url).searchParams.get("assigned") ?? undefined;
    return { studioId, assigned, ...(await groupBoard(services, studioId, groupId)) };
  });

/** What is set can be taken back. */
export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const form = await formOf(asked.request);
    const { item } = idsOf({ item: String(form.get("take-back")) }, "item");
    await takeBackItem(services, studioId, item);
    return null;
  });

export default function Group({ loaderData }: Route.ComponentProps) {
  return <Board {...loaderData} />;
}
