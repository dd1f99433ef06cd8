import { randomUUID } from "node:crypto";
import { addDays, dayOf } from "~/core/units";
import { studentsOf } from "~/db/queries";
import { groupBoard } from "~/server/cases/group/group-board";
import { setGroupItem, writeGroup } from "~/server/cases/group/groups";
import { rehearsalPage } from "~/server/cases/group/rehearsal";
import { reportPage } from "~/server/cases/record/report";
import type { Services } from "~/server/services";
import { ms, type Figure } from "./core";

const MEMBERS = 40;

interface Given {
  readonly studioId: string;
  readonly pieceId: string;
  readonly timed: (times: number, work: () => Promise<unknown>) => Promise<number>;
}

const formOf = (fields: Readonly<Record<string, string>>, members: readonly string[]) => {
  const form = new FormData();
  for (const [key, value] of Object.entries(fields)) form.set(key, value);
  for (const member of members) form.append("member", member);
  return form;
};

/** The board of a group of forty, a piece before its rehearsal, and a year's report of sixty. */
export async function groupFigures(services: Services, given: Given): Promise<Figure[]> {
  const { studioId, pieceId, timed } = given;
  const today = dayOf(services.now(), "Europe/London");
  const students = await studentsOf(services.db, studioId);
  const members = students.slice(0, MEMBERS).map(({ id }) => id);
  const groupId = randomUUID();
  await writeGroup(services, studioId, groupId, formOf({ name: "All", kind: "class" }, members));
  const item = {
    ...{ id: randomUUID(), kind: "piece", title: "The Ferry, bars 9–16", focus: "", note: "" },
    ...{ times: "5", minutes: "10", bring: "recording", until: addDays(today, 7) },
    ...{ pieceId, fromBar: "9", toBar: "16", target: "90", keptLadderId: "" },
  };
  const begun = performance.now();
  const set = await setGroupItem(services, studioId, groupId, formOf(item, members));
  if (!set.ok) throw new Error(JSON.stringify(set.error));
  const setting = performance.now() - begun;
  const year = { group: "", person: "", from: addDays(today, -364), to: today };
  const board = () => groupBoard(services, studioId, groupId);
  const rehearsal = () => rehearsalPage(services, studioId, groupId, pieceId);
  const report = () => reportPage(services, studioId, year);
  return [
    { what: `an item set for a group of ${MEMBERS}, each with a passage`, value: ms(setting) },
    { what: `the board of a group of ${MEMBERS}, server`, value: ms(await timed(11, board)) },
    { what: `a piece before rehearsal, ${MEMBERS}, server`, value: ms(await timed(11, rehearsal)) },
    {
      what: `a report of ${students.length} students over a year, server`,
      value: ms(await timed(11, report)),
    },
  ];
}
