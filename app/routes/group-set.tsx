import { useState } from "react";
import { redirect } from "react-router";
import { SetPage } from "~/features/group/set-page";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { idsOf, refused } from "~/server/boundary";
import { groupBoard } from "~/server/cases/group/group-board";
import { setGroupItem } from "~/server/cases/group/groups";
import { words } from "~/words";
import { groupWords } from "~/words/groups";
import type { Route } from "./+types/group-set";

export const meta = () => [{ title: words.title(groupWords.item.new) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const { groupId } = idsOf(asked.params, "groupId");
    const board = await groupBoard(services, studioId, groupId);
    const item = new URL(asked.request.url).searchParams.get("item");
    return {
      studioId,
      ...board,
      item: board.items.find(({ id }) => id === item),
      newId: services.newId(),
    };
  });

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const { groupId } = idsOf(asked.params, "groupId");
    const form = await formOf(asked.request);
    const done = await setGroupItem(services, studioId, groupId, form);
    if (!done.ok) return refused(done.error);
    throw redirect(`/studio/${studioId}/groups/${groupId}?assigned=${String(form.get("id"))}`);
  });

export default function GroupSet({ loaderData, actionData }: Route.ComponentProps) {
  // Refused, it is sent again under the same id.
  const [id] = useState(loaderData.item?.id ?? loaderData.newId);
  return <SetPage {...loaderData} id={id} refused={actionData} />;
}
