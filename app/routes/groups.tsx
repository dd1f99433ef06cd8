import { redirect } from "react-router";
import { GroupsPage } from "~/features/group/groups-page";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { groupsPage, writeGroup } from "~/server/cases/group/groups";
import { words } from "~/words";
import { groupWords } from "~/words/groups";
import type { Route } from "./+types/groups";

export const meta = () => [{ title: words.title(groupWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => ({
    studioId,
    ...(await groupsPage(services, studioId)),
  }));

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const id = services.newId();
    const done = await writeGroup(services, studioId, id, await formOf(asked.request));
    if (!done.ok) return refused(done.error);
    throw redirect(`/studio/${studioId}/groups/${id}`);
  });

export default function Groups({ loaderData, actionData }: Route.ComponentProps) {
  return <GroupsPage {...loaderData} refused={actionData} />;
}
