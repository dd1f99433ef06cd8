import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { addDays, daysBetween, type Day } from "~/core/units";
import { DatabaseError, type Queries } from "~/db/client";
import {
  dropGroup,
  dropGroupItem,
  groupById,
  groupItemById,
  groupItems,
  groupsOf,
  keptLadders,
  landedOf,
  membersOf,
  pieceById,
  putGroup,
  putGroupItem,
  putMembers,
  studentsOf,
  studioById,
} from "~/db/queries";
import { groupFormSchema, groupItemFormSchema } from "~/forms/group";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { whoIsHurt } from "../../plan/who-is-hurt";
import { todayIn, type Services } from "../../services";
import { bring, ladderRefused, landingOf, takeOut } from "./group-landing";
import { studentsToChoose } from "../people/whom";

const MOST_MEMBERS = 200;
const LONGEST_DAYS = 60;

/** The groups of a room, and who could belong to one. */
export async function groupsPage({ db }: Services, studioId: string) {
  const [groups, students] = await Promise.all([
    groupsOf(db, studioId),
    studentsToChoose(db, studioId),
  ]);
  return { groups, students };
}

/** A group, and who could belong to it. */
export async function groupPage(services: Services, studioId: string, groupId: string) {
  const { students } = await groupsPage(services, studioId);
  return { group: await groupById(services.db, studioId, groupId), students };
}

const idsSchema = v.pipe(
  v.array(v.pipe(v.string(), v.uuid("A student can't be read."))),
  v.maxLength(MOST_MEMBERS, `At most ${MOST_MEMBERS} in a group.`),
);

/** Those who are ticked, of the room only. */
async function ticked(tx: Queries, studioId: string, ids: readonly string[]) {
  const known = new Set((await studentsOf(tx, studioId)).map(({ id }) => id));
  if (ids.every((id) => known.has(id))) return ids;
  throw new DatabaseError("not-found", "A student is not of this room.");
}

/** Writes a group with its members; a new one under the id that its form was given. */
export async function writeGroup(
  services: Services,
  studioId: string,
  groupId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const { db, now } = services;
  const read = readForm(form, groupFormSchema);
  if (!read.ok) return read;
  const values = { name: read.value.name, kind: read.value.kind };
  const members = v.safeParse(idsSchema, form.getAll("member"));
  if (!members.success) return err({ errors: { member: members.issues[0].message }, values });
  const taken = (await groupsOf(db, studioId)).some(
    ({ id, name }) => id !== groupId && name === read.value.name,
  );
  if (taken) return err({ errors: { name: "There is a group of this name." }, values });
  await db.transaction(async (tx) => {
    await putGroup(tx, studioId, { id: groupId, ...read.value }, new Date(now()));
    await putMembers(tx, studioId, groupId, await ticked(tx, studioId, members.output));
    await bringToNewMembers(services, tx, studioId, groupId);
  });
  return ok(undefined);
}

/** Whoever comes to a group gets what it is set just now. */
async function bringToNewMembers(
  services: Services,
  tx: Queries,
  studioId: string,
  groupId: string,
): Promise<void> {
  const today = todayIn(services, await studioById(tx, studioId));
  const items = await groupItems(tx, studioId, groupId, addDays(today, 1));
  if (items.length === 0) return;
  const { members } = await groupById(tx, studioId, groupId);
  const giving = { tx, studioId, newId: services.newId, now: services.now, today };
  const kept = await keptLadders(tx, studioId);
  const hurt = await whoIsHurt(tx, studioId, today);
  for (const item of items) {
    const has = new Set((await landedOf(tx, studioId, [item.id])).map((each) => each.person_id));
    const landing = await landingOf(giving, item, kept);
    for (const id of members.filter((each) => !has.has(each))) {
      await bring(landing, { id, hurt: hurt.has(id), leftOut: false }, undefined);
    }
  }
}

/** A group goes; what it was set stays in its members' weeks. */
export const deleteGroup = ({ db }: Services, studioId: string, groupId: string) =>
  dropGroup(db, studioId, groupId);

type ReadItem = v.InferOutput<typeof groupItemFormSchema>;

/** What can't be told from the form alone. */
async function impossible(
  { db }: Services,
  studioId: string,
  { asked, until }: ReadItem,
  today: Day,
): Promise<Record<string, string> | undefined> {
  const ahead = daysBetween(today, until);
  if (ahead <= 0) return { until: "That day is over. Choose one ahead." };
  if (ahead > LONGEST_DAYS) return { until: `At most ${LONGEST_DAYS} days ahead.` };
  if (!asked.music) return undefined;
  const { bars, metres } = await pieceById(db, studioId, asked.music.pieceId);
  if (asked.music.toBar > bars) return { toBar: `The piece has ${bars} bars.` };
  const refused = ladderRefused(asked, await keptLadders(db, studioId), metres);
  return refused ? { keptLadderId: refused } : undefined;
}

/**
 * Sets an item for a group, or changes it: it comes into each member's own week, with a passage
 * and a ladder of their own; whoever has changed theirs since keeps it.
 */
export async function setGroupItem(
  services: Services,
  studioId: string,
  groupId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readForm(form, groupItemFormSchema);
  if (!read.ok) return read;
  const with_ = v.safeParse(idsSchema, form.getAll("member"));
  const values = Object.fromEntries([...form].map(([key, value]) => [key, String(value)]));
  if (!with_.success) return err({ errors: { member: with_.issues[0].message }, values });
  const today = todayIn(services, await studioById(services.db, studioId));
  const errors = await impossible(services, studioId, read.value, today);
  if (errors) return err({ errors, values });
  const { id, asked, until } = read.value;
  await services.db.transaction(async (tx) => {
    const { members } = await groupById(tx, studioId, groupId);
    const at = new Date(services.now());
    await putGroupItem(tx, studioId, { id, groupId, asked, until, at });
    const item = await groupItemById(tx, studioId, id);
    if (item.group_id !== groupId) throw new DatabaseError("not-found", "Another group's.");
    const giving = { tx, studioId, newId: services.newId, now: services.now, today };
    const landing = await landingOf(giving, item, await keptLadders(tx, studioId));
    const before = new Map(
      (await landedOf(tx, studioId, [id])).map((each) => [each.person_id, each]),
    );
    const hurt = await whoIsHurt(tx, studioId, today);
    const chosen = new Set(with_.output);
    // Nobody's week asks for another's: what one waits for, the next can use.
    await Promise.all(
      members.map((id) => {
        const member = { id, hurt: hurt.has(id), leftOut: !chosen.has(id) };
        return bring(landing, member, before.get(id));
      }),
    );
  });
  return ok(undefined);
}

/** Takes an item back: out of every week in which it is as it was given. */
export const takeBackItem = (services: Services, studioId: string, itemId: string) =>
  services.db.transaction(async (tx) => {
    const today = todayIn(services, await studioById(tx, studioId));
    const giving = { tx, studioId, newId: services.newId, now: services.now, today };
    for (const landed of await landedOf(tx, studioId, [itemId])) await takeOut(giving, landed);
    await dropGroupItem(tx, studioId, itemId);
  });

/** What a group is set, with how it came to each, for whoever sets it. */
export async function groupItemsOf(
  { db }: Services,
  studioId: string,
  groupId: string,
  since: Day,
) {
  const items = await groupItems(db, studioId, groupId, since);
  const landed = await landedOf(
    db,
    studioId,
    items.map(({ id }) => id),
  );
  return { items, landed, members: await membersOf(db, studioId, groupId) };
}
