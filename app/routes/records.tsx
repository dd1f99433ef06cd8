import { redirect } from "react-router";
import * as v from "valibot";
import { RecordsPage } from "~/features/records/records-page";
import { forStudent } from "~/server/access/guard";
import { may } from "~/server/access/who";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { deleteForGood, recordsPage } from "~/server/cases/people/student-gone";
import { readForm } from "~/server/form";
import { words } from "~/words";
import { recordsWords } from "~/words/records";
import type { Route } from "./+types/records";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(recordsWords.student.title(loaderData?.person.name ?? "")) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => ({
    studioId,
    teaches: who.role === "teacher",
    hears: may(who, "hear", studioId, personId),
    ...(await recordsPage(services, studioId, personId)),
  }));

const deleteSchema = v.object({ name: v.optional(v.string(), "") });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const form = readForm(await formOf(asked.request), deleteSchema);
    if (!form.ok) return refused(form.error);
    const gone = await deleteForGood(services, studioId, personId, form.value.name);
    if (!gone.ok) return refused(gone.error);
    throw redirect(`/studio/${studioId}`);
  });

export default function Records({ loaderData, actionData }: Route.ComponentProps) {
  return <RecordsPage {...loaderData} refused={actionData} />;
}
