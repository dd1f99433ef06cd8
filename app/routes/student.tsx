import { StudentPage } from "~/features/student/student-page";
import { answering, idsOf } from "~/server/boundary";
import { studentPage } from "~/server/cases/student-pages";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/student";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(loaderData?.person.name) },
];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId, personId } = idsOf(params, "studioId", "personId");
    return { studioId, ...(await studentPage(servicesOf(context), studioId, personId)) };
  });

export default function Student({ loaderData }: Route.ComponentProps) {
  return <StudentPage {...loaderData} />;
}
