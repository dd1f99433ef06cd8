import * as v from "valibot";
import {
  handedInOfStudent,
  playsOfStudent,
  progressOfStudent,
  sessionsOfStudent,
} from "~/db/queries";
import { logQuerySchema } from "~/forms/log";
import type { Told } from "../archive/told";
import type { Table } from "../csv";
import type { Services } from "../services";
import { wholeLog } from "./log";

/** Everything that was practised by a student, as tables under the names of their files. */
export const studentTables = (
  services: Services,
  told: Told,
  studioId: string,
  personId: string,
): Readonly<Record<string, () => Promise<Table>>> => {
  const { db } = services;
  const all = v.parse(logQuerySchema, {});
  return {
    log: async () => told.log(await wholeLog(services, studioId, personId, all)),
    sessions: async () => told.sessions(await sessionsOfStudent(db, studioId, personId)),
    plays: async () => told.plays(await playsOfStudent(db, studioId, personId)),
    "handed-in": async () => told.handedIn(await handedInOfStudent(db, studioId, personId)),
    progress: async () => told.progress(await progressOfStudent(db, studioId, personId)),
  };
};
