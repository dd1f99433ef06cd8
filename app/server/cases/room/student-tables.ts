import * as v from "valibot";
import {
  handedInOfStudent,
  playsOfStudent,
  progressOfStudent,
  sessionsOfStudent,
} from "~/db/queries";
import { logQuerySchema } from "~/forms/log";
import { once } from "../../archive/entry";
import type { Told } from "../../archive/told";
import type { TableParts } from "../../csv";
import type { Services } from "../../services";
import { wholeLog } from "../record/log";

async function* playsTable({ db }: Services, told: Told, studioId: string, personId: string) {
  for await (const plays of playsOfStudent(db, studioId, personId)) yield told.plays(plays);
}

/** Everything that was practised by a student, as tables under the names of their files. */
export const studentTables = (
  services: Services,
  told: Told,
  studioId: string,
  personId: string,
): Readonly<Record<string, () => TableParts>> => {
  const { db } = services;
  const all = v.parse(logQuerySchema, {});
  return {
    log: () => once(async () => told.log(await wholeLog(services, studioId, personId, all))),
    sessions: () =>
      once(async () => told.sessions(await sessionsOfStudent(db, studioId, personId))),
    plays: () => playsTable(services, told, studioId, personId),
    "handed-in": () =>
      once(async () => told.handedIn(await handedInOfStudent(db, studioId, personId))),
    progress: () =>
      once(async () => told.progress(await progressOfStudent(db, studioId, personId))),
  };
};
