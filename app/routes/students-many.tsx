import { ManyStudentsPage } from "~/features/student/many-students-page";
import { addressOf, callerOf } from "~/server/access/door";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { qrOf } from "~/server/cases/people/access";
import { addMany, readList } from "~/server/cases/people/many-students";
import { roomOf } from "~/server/cases/people/rooms";
import { words } from "~/words";
import type { Route } from "./+types/students-many";

export const meta = () => [{ title: words.title(words.many.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, ({ services, studioId }) => roomOf(services, studioId));

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const read = await readList(services, studioId, await formOf(asked.request));
    if (!read.ok) return refused(read.error);
    const { students, codeDays } = read.value;
    const tickets = await addMany(services, studioId, students, codeDays);
    const shown = tickets.map(async ({ link, ...rest }) => {
      const address = addressOf(callerOf(asked.context), asked.request, link);
      return { ...rest, address, qr: await qrOf(address) };
    });
    return { tickets: await Promise.all(shown), codeDays };
  });

export default function ManyStudents({ loaderData, actionData }: Route.ComponentProps) {
  return <ManyStudentsPage studioId={loaderData.id} answer={actionData} />;
}
