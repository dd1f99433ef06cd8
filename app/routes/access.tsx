import { AccessPage } from "~/features/access/access-page";
import { addressOf, callerOf } from "~/server/access/door";
import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { accessActSchema, accessPage, actOnAccess, qrOf } from "~/server/cases/people/access";
import { readForm } from "~/server/form";
import { words } from "~/words";
import { accessWords } from "~/words/access";
import type { Route } from "./+types/access";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(accessWords.page.title(loaderData?.person.name ?? "")) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    return { studioId, ...(await accessPage(services, studioId, personId)) };
  });

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const form = readForm(await formOf(asked.request), accessActSchema);
    if (!form.ok) return refused(form.error);
    const done = await actOnAccess(services, studioId, personId, form.value);
    if (done === "done") return { shown: undefined, done: form.value.act };
    if (done.kind === "code") return { shown: { ...done, qr: undefined }, done: undefined };
    const address = addressOf(callerOf(asked.context), asked.request, done.secret);
    const qr = await qrOf(address);
    return { shown: { ...done, secret: address, qr }, done: undefined };
  });

export default function Access({ loaderData, actionData }: Route.ComponentProps) {
  return <AccessPage {...loaderData} answer={actionData} />;
}
