import { beforeEach, expect, test } from "@jest/globals";
import { passagesOfPerson, stagesOf } from "~/db/queries";
import { USUAL_STAGES } from "~/core/score";
import { furnishedRoom } from "../../test/room";
import { actOnPiece } from "../piece/act-on-piece";
import { newItem } from "~/core/week";
import { givePiece } from "./give";
import { giveWeek } from "./give-week";
import { lessonPage } from "../week/lesson";
import { setWeek } from "../week/set-week";
import { addMany } from "../people/many-students";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const form = (fields: Readonly<Record<string, string>>) => {
  const made = new FormData();
  for (const [key, value] of Object.entries(fields)) made.set(key, value);
  return made;
};

test("a piece is given with its passages, ladders and stages; given twice, it is there once", async () => {
  const { services, studioId, personId, pieceId, passageId } = room;
  const stages = JSON.stringify({ ...USUAL_STAGES, at: 3 });
  const where = { studioId, personId, pieceId };
  await actOnPiece(services, where, form({ act: "stages", stages }));
  const [ada, ben] = await addMany(services, studioId, [
    { name: "Ada", instrument: "" },
    { name: "Ben", instrument: "" },
  ]);
  for (let twice = 0; twice < 2; twice++) {
    expect(await givePiece(services, where, [ada!.id, ben!.id, personId])).toBe(2);
  }
  const theirs = await passagesOfPerson(services.db, studioId, ada!.id);
  expect(theirs).toHaveLength(1);
  expect(theirs[0]).toMatchObject({ fromBar: 5, toBar: 8, given: { from: passageId, number: 1 } });
  // Nothing is known of Ada: six tenths of the target, where the first one began at 60.
  expect(theirs[0]!.ladder).toMatchObject({ start: 54, target: 90 });
  const [own] = await stagesOf(services.db, studioId, ada!.id);
  expect(own!.stages).toMatchObject({ at: 0 });
});

test("what a week asks is put into the drafts of others, once, with passages of their own", async () => {
  const { services, studioId, personId, passageId } = room;
  const item = newItem(services.newId(), { passageId, title: "The Ferry", goalTempo: 80 });
  const theory = newItem(services.newId(), { kind: "theory", title: "Sheet 3" });
  const week = {
    version: 0,
    after: null,
    from: "2026-05-04",
    until: "2026-05-11",
    text: { items: [item, theory], word: "", shape: null },
    decisions: {},
  };
  const set = await setWeek(services, studioId, personId, week);
  if (!set.ok) throw new Error(JSON.stringify(set.error));
  const [ada] = await addMany(services, studioId, [{ name: "Ada", instrument: "" }]);
  for (let twice = 0; twice < 2; twice++) {
    const given = { to: [ada!.id], items: [item.id, theory.id] };
    await giveWeek(services, studioId, { personId, weekId: set.value.id }, given);
  }
  const { draft, passages } = await lessonPage(services, studioId, ada!.id);
  expect(draft.text.items).toMatchObject([
    { title: "The Ferry", goalTempo: 80, given: { item: item.id }, passageId: passages[0]!.id },
    { title: "Sheet 3", passageId: null, given: { item: theory.id } },
  ]);
  expect(passages[0]!.id).not.toBe(passageId);

  // Whoever has a week of their own keeps what goes on in it, and gets only what was chosen.
  const [ben] = await addMany(services, studioId, [{ name: "Ben", instrument: "" }]);
  const own = newItem(services.newId(), { kind: "theory", title: "A sheet of Ben's" });
  const bens = { ...week, text: { ...week.text, items: [own] } };
  expect((await setWeek(services, studioId, ben!.id, bens)).ok).toBe(true);
  const chosen = { to: [ben!.id], items: [theory.id] };
  await giveWeek(services, studioId, { personId, weekId: set.value.id }, chosen);
  const next = await lessonPage(services, studioId, ben!.id);
  expect(next.draft.text.items.map(({ title }) => title)).toEqual(["A sheet of Ben's", "Sheet 3"]);
});
