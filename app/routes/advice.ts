import { data } from "react-router";
import * as v from "valibot";
import { forStudentForm } from "~/server/access/guard";
import { actOnAdvice, adviceActSchema } from "~/server/cases/record/advice";
import type { Route } from "./+types/advice";

/** A student changes today's session, and puts advice away; what is set, and the rules, are the teacher's. */
const rightOf = (form: FormData) =>
  ["dismiss", "ask", "today", "not-today"].includes(String(form.get("act"))) ? "practise" : "teach";

export const action = (asked: Route.ActionArgs) =>
  forStudentForm(asked, rightOf, async ({ services, studioId, personId, form }) => {
    const read = v.safeParse(adviceActSchema, Object.fromEntries(form));
    if (!read.success) return data({ sentence: read.issues[0].message }, { status: 400 });
    const done = await actOnAdvice(services, { studioId, personId }, read.output);
    return done.ok ? done.value : data({ sentence: done.error }, { status: 422 });
  });
