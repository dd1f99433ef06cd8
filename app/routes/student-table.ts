import { told } from "~/features/records/told";
import { forStudent } from "~/server/access/guard";
import { notFound } from "~/server/boundary";
import { studentTables } from "~/server/cases/room/student-tables";
import { csvOf } from "~/server/csv";
import type { Route } from "./+types/student-table";

/** One of a student's tables as a file. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const name = asked.params.table;
    const read = new Map(Object.entries(studentTables(services, told, studioId, personId))).get(
      name,
    );
    if (!read) throw notFound("There is no such table.");
    return csvOf(`${name}.csv`, read());
  });
