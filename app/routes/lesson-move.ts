import { refused } from "~/server/boundary";
import { formOf } from "~/server/body";
import { forStudent } from "~/server/access/guard";
import { moveLesson } from "~/server/cases/week/move-lesson";
import type { Route } from "./+types/lesson-move";

/** The lesson that is coming is moved to another day. */
export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const moved = await moveLesson(services, studioId, personId, await formOf(asked.request));
    return moved.ok ? { moved: moved.value.day } : refused(moved.error);
  });
