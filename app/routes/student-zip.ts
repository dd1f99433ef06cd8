import { told } from "~/features/records/told";
import { forStudent } from "~/server/access/guard";
import { zipAnswer } from "~/server/archive/zip-answer";
import { studentAsZip } from "~/server/cases/student-out";
import type { Route } from "./+types/student-zip";

/** Everything of a student, taken along. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const { name, zip } = await studentAsZip(services, told, studioId, personId);
    return zipAnswer(name, zip);
  });
