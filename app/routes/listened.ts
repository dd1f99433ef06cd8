import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { listenedAlong, listenedSchema } from "~/server/cases/piece/track";
import { readForm } from "~/server/form";
import type { Route } from "./+types/listened";

/** Minutes of listening along to a practice track. */
export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const form = readForm(await formOf(asked.request), listenedSchema);
    if (!form.ok) return refused(form.error);
    await listenedAlong(services, studioId, personId, form.value);
    return new Response(null, { status: 204 });
  });
