import { data } from "react-router";
import * as v from "valibot";
import { LONGEST_TYPED, typedLessonSchema } from "~/forms/typed-lesson";
import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { forgetTyped, keepTyped } from "~/server/cases/week/lesson-typed";
import { readForm } from "~/server/form";
import type { Route } from "./+types/lesson-typed";

const actSchema = v.variant("act", [
  v.object({
    act: v.literal("typed"),
    typed: v.pipe(v.string(), v.maxLength(LONGEST_TYPED), v.parseJson(), typedLessonSchema),
  }),
  v.object({ act: v.literal("untyped") }),
]);

/** What is being typed on a lesson is kept, or forgotten. */
export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId, who }) => {
    const form = readForm(await formOf(asked.request), actSchema);
    if (!form.ok) return data({ sentence: "This is no lesson." }, { status: 422 });
    const it = { studioId, personId, teacherId: who.personId };
    if (form.value.act === "typed") await keepTyped(services, it, form.value.typed);
    else await forgetTyped(services, it);
    return { kept: true };
  });
