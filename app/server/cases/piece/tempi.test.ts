import { beforeEach, expect, test } from "@jest/globals";
import { ladderAtFull } from "~/core/ladder";
import type { TempoRegion } from "~/core/score";
import { passageById, pieceById } from "~/db/queries";
import { furnishedRoom, ladder } from "../../test/room";
import { actOnPiece } from "./act-on-piece";
import { cutPassage, setLadder } from "./passages";
import { piecePage } from "./passage-pages";
import { passageTempo } from "../../plan/passage-tempo";
import { passagePart, startSession } from "../session/start-session";
import { readLadder } from "./workshop";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const region = (id: string, fromBar: number, bpm: number, change: Partial<TempoRegion> = {}) => ({
  id,
  fromBar,
  unit: "quarter",
  target: { low: bpm, high: bpm },
  words: "",
  subdivision: 1,
  link: null,
  ...change,
});
const act = (fields: Readonly<Record<string, string>>) => {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.set(name, value);
  const { studioId, personId, pieceId } = room;
  return actOnPiece(room.services, { studioId, personId, pieceId }, form);
};
const setTempi = (regions: unknown[], changes: unknown[] = []) =>
  act({ act: "tempi", tempi: JSON.stringify({ regions, changes }) });
const refusal = async (...tempi: Parameters<typeof setTempi>) => {
  const set = await setTempi(...tempi);
  return set.ok ? undefined : set.error.errors.tempi;
};
const page = () => piecePage(room.services, room.studioId, room.personId, room.pieceId);
const cut = async (fromBar: number, toBar: number) => {
  const { services, studioId, personId, pieceId } = room;
  const range = { fromBar, toBar, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
  const id = await cutPassage(services, studioId, { personId, pieceId }, range);
  return passageById(services.db, studioId, id);
};

test("tempi set the mark of their piece; what can't be is refused, and nothing changes", async () => {
  const rit = { kind: "gradual", bar: 16, beat: 2, beats: 3, percent: 60 };
  expect(await refusal([region("a", 1, 80)], [rit])).toMatch(/go beyond bar 16/);
  expect(await refusal([region("a", 1, 80), region("b", 17, 90)])).toMatch(/Bar 17 lies beyond/);
  expect(await refusal([])).toMatch(/from bar 1/);
  expect((await act({ act: "tempi", tempi: "{" })).ok).toBe(false);
  expect((await page()).piece).toMatchObject({ markBpm: 96, tempi: null });
  await setTempi([region("a", 1, 80), region("b", 9, 90)], [{ ...rit, bar: 15 }]);
  expect((await page()).piece.markBpm).toBe(80);
});

test("a ladder to the full tempo is listed when that moves, and changed only by a press", async () => {
  const { services, studioId, passageId } = room;
  const now = async () => (await passageById(services.db, studioId, passageId)).ladder!;
  const typed = await cut(9, 10);
  await setLadder(services, studioId, typed.id, ladder({ target: 90 }));
  await setLadder(services, studioId, passageId, ladder({ target: 96 }));
  await setTempi([region("a", 1, 84)]);
  // A target that was typed by hand stays.
  expect((await page()).movedLadders).toEqual([
    { passageId, fromBar: 5, toBar: 8, was: 96, is: 84, inWeek: false },
  ]);
  expect((await now()).target).toBe(96);
  expect((await act({ act: "move-ladder", passage: passageId })).ok).toBe(true);
  expect((await now()).target).toBe(84);
  expect((await page()).movedLadders).toEqual([]);
});

test("a passage takes its region's tempo and unit; over several its ladder climbs in percent", async () => {
  const { services, studioId, personId } = room;
  const link = { kind: "ratio", of: "a", low: 1, high: 1 } as const;
  await setTempi([region("a", 1, 80), region("b", 9, 0, { unit: "half", target: null, link })]);
  const inside = await cut(9, 12);
  expect(passageTempo(inside)).toMatchObject({ full: 80, unit: "half", across: [] });
  const over = await cut(7, 10);
  expect(passageTempo(over).across.map(({ unit, bpm }) => [unit, bpm])).toEqual([
    ["quarter", 80],
    ["half", 80],
  ]);
  const form = new FormData();
  form.set("ladder", JSON.stringify(ladder({ target: 80 })));
  expect(readLadder(form, over).ok).toBe(false);
  const percent = ladderAtFull(ladder({ start: 60, target: 100 }), 80);
  form.set("ladder", JSON.stringify(percent));
  expect(readLadder(form, over).ok).toBe(true);
  await setLadder(services, studioId, over.id, percent);

  const started = await startSession(services, studioId, personId, [passagePart(over.id)]);
  if (!started.ok) throw new Error(started.error.sentence);
  const [block] = started.value.plan.blocks;
  expect(block!.rungs!.map(({ tempo }) => tempo)).toEqual([48, 56, 64, 72, 80]);
  expect(block!.bars.map(({ number, tempo }) => [number, tempo?.pieces[0]!.atFrom])).toEqual([
    [7, undefined],
    [8, undefined],
    [9, 2],
    [10, 2],
  ]);
  // Moved to another full tempo, its percents stay.
  await setTempi([region("a", 1, 60), region("b", 9, 0, { unit: "half", target: null, link })]);
  expect((await page()).movedLadders.map(({ was, is }) => [was, is])).toEqual([[80, 60]]);
  await act({ act: "move-ladder", passage: over.id });
  const moved = (await passageById(services.db, studioId, over.id)).ladder!;
  expect([moved.of, moved.start, moved.target]).toEqual([60, 36, 60]);
  await setTempi([region("a", 1, 80), region("b", 9, 0, { unit: "half", target: null, link })]);
  // A mark changed by hand is that of the first region.
  const { tempi } = await pieceById(services.db, studioId, room.pieceId);
  expect(tempi!.regions[0]!.target).toEqual({ low: 80, high: 80 });
});
