import { Rehearsal as RehearsalPage } from "~/features/group/rehearsal";
import { forTeacher } from "~/server/access/guard";
import { idsOf } from "~/server/boundary";
import { rehearsalPage } from "~/server/cases/group/rehearsal";
import { words } from "~/words";
import { groupWords } from "~/words/groups";
import type { Route } from "./+types/rehearsal";

export const meta = () => [{ title: words.title(groupWords.rehearsal.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const { groupId } = idsOf(asked.params, "groupId");
    const piece = new URL(asked.request.url).searchParams.get("piece") ?? undefined;
    return { studioId, ...(await rehearsalPage(services, studioId, groupId, piece)) };
  });

export default function Rehearsal({ loaderData }: Route.ComponentProps) {
  return <RehearsalPage {...loaderData} />;
}
