import { beforeEach, describe, expect, test } from "@jest/globals";
import { demoPeople, letGo, piecesOfPerson, putOnStand, studentsOf } from "~/db/queries";
import { furnishedRoom } from "../../test/room";
import { roomRows } from "../../test/room-rows";
import { accessPage, actOnAccess } from "./access";
import { addStudent } from "./open-room";
import { deleteForGood, finishDeletions, recordsPage } from "./student-gone";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

describe("a student who is deleted", () => {
  test("leaves nothing, and takes nothing of others along", async () => {
    const { services, studioId, personId, pieceId } = room;
    const other = await addStudent(services, studioId, { name: "Ben", instrument: "harp" });
    await putOnStand(services.db, studioId, other, pieceId);
    await room.begin();
    await actOnAccess(services, studioId, personId, { act: "parent", name: "Hanne" });
    const { belongings } = await recordsPage(services, studioId, personId);
    expect(belongings).toMatchObject({ pieces: 0, passages: 1, sessions: 1, parents: ["Hanne"] });
    const refused = await deleteForGood(services, studioId, personId, "tomasz");
    expect(refused).toMatchObject({ error: { errors: { name: expect.any(String) } } });
    expect(await deleteForGood(services, studioId, personId, " Tomasz ")).toMatchObject({
      ok: true,
    });
    const rows = await roomRows(services.db, studioId);
    const left = Object.values(rows).flat().join("\n");
    expect(left).not.toContain(personId);
    expect(left).not.toContain("Hanne");
    expect(rows.session).toEqual([]);
    expect(await piecesOfPerson(services.db, studioId, other)).toHaveLength(1);
    expect((await accessPage(services, studioId, other)).accesses).toEqual([]);
    await deleteForGood(services, studioId, other, "Ben");
    expect((await roomRows(services.db, studioId)).piece).toEqual([]);
  });

  test("is found by nobody from the first moment, and goes whole where that was cut off", async () => {
    const { services, studioId, personId } = room;
    const { db } = services;
    for (let n = 0; n < 12; n++) await room.begin();
    await db.execute("update studio set demo = true where id = $1", [studioId]);
    await actOnAccess(services, studioId, personId, { act: "parent", name: "Hanne" });
    await db.transaction((tx) => letGo(tx, studioId, personId));
    expect(await studentsOf(db, studioId)).toEqual([]);
    expect((await demoPeople(db)).map(({ role }) => role)).toEqual(["teacher"]);
    await expect(recordsPage(services, studioId, personId)).rejects.toThrow();
    expect((await roomRows(db, studioId)).session).toHaveLength(12);
    await finishDeletions(services);
    const left = Object.values(await roomRows(db, studioId)).flat();
    expect(left.join("\n")).not.toContain(personId);
  });
});
