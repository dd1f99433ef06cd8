import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { refused } from "~/server/boundary";
import { actOnShapes, shapeActSchema } from "~/server/cases/week/shapes";
import { readForm } from "~/server/form";
import type { Route } from "./+types/shapes";

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId, who }) => {
    const form = readForm(await formOf(asked.request), shapeActSchema);
    if (!form.ok) return refused(form.error);
    await actOnShapes(services, studioId, personId, form.value, who.role === "teacher");
    return null;
  });
