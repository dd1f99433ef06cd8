import { StudentPage } from "~/features/student/student-page";
import { studentPage } from "~/server/cases/student-pages";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/student";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const teaches = who.role === "teacher";
    const looksOnly = who.role === "parent";
    return { studioId, teaches, looksOnly, ...(await studentPage(services, studioId, personId)) };
  });

export default function Student({ loaderData }: Route.ComponentProps) {
  return <StudentPage {...loaderData} />;
}
