import { randomUUID } from "node:crypto";
import type { Database } from "~/db/client";
import { readRoomHere } from "../archive/read-in-thread";
import { workHere } from "../score/work";
import type { Services } from "../services";
import { takesAside } from "./takes-aside";

export const servicesOver = (db: Database, now: () => number): Services => ({
  db,
  now,
  newId: randomUUID,
  scores: workHere(),
  readRoom: readRoomHere,
  print: () => Promise.reject(new Error("Nothing is printed here.")),
  takes: takesAside(),
});
