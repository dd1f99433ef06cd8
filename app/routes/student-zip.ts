import { told } from "~/features/records/told";
import { forStudent } from "~/server/access/guard";
import { may } from "~/server/access/who";
import { wantsRecordings, zipAnswer } from "~/server/archive/zip-answer";
import { studentAsZip } from "~/server/cases/room/student-out";
import type { Route } from "./+types/student-zip";

/** Everything of a student, taken along. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    // Who may look on may not hear.
    const hears = may(who, "hear", studioId, personId);
    const withSounds = { withSounds: hears && wantsRecordings(asked.request).withSounds };
    const { name, zip } = await studentAsZip(services, told, studioId, personId, withSounds);
    return zipAnswer(name, zip);
  });
