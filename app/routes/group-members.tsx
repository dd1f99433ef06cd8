import { redirect } from "react-router";
import { MembersPage } from "~/features/group/members-page";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { idsOf, refused } from "~/server/boundary";
import { deleteGroup, groupPage, writeGroup } from "~/server/cases/group/groups";
import { words } from "~/words";
import { groupWords } from "~/words/groups";
import type { Route } from "./+types/group-members";

export const meta = () => [{ title: words.title(groupWords.members) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const { groupId } = idsOf(asked.params, "groupId");
    return { studioId, ...(await groupPage(services, studioId, groupId)) };
  });

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const { groupId } = idsOf(asked.params, "groupId");
    const form = await formOf(asked.request);
    if (form.get("act") === "delete") {
      await deleteGroup(services, studioId, groupId);
      throw redirect(`/studio/${studioId}/groups`);
    }
    // Another room's group isn't there.
    await groupPage(services, studioId, groupId);
    const done = await writeGroup(services, studioId, groupId, form);
    if (!done.ok) return refused(done.error);
    throw redirect(`/studio/${studioId}/groups/${groupId}`);
  });

export default function GroupMembers({ loaderData, actionData }: Route.ComponentProps) {
  return <MembersPage {...loaderData} refused={actionData} />;
}
