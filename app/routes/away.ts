import { refused } from "~/server/boundary";
import { formOf } from "~/server/body";
import { forStudent } from "~/server/access/guard";
import { setAway } from "~/server/cases/week/away";
import type { Route } from "./+types/away";

/** Days on which a student is away or ill. */
export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const set = await setAway(services, studioId, personId, await formOf(asked.request));
    return set.ok ? { away: true } : refused(set.error);
  });
