import { describe, expect, test } from "@jest/globals";
import { bpm } from "~/core/units";
import { roomFormSchema } from "~/forms/room";
import { readForm } from "../../form";
import { ladder, pieceForm } from "../../test/room";
import { readPieceForm } from "./add-piece";
import { readLadder } from "./workshop";
import { readToday } from "../week/read-today";

const errors = (result: { ok: boolean; error?: { errors: object } }) =>
  result.ok ? [] : Object.keys(result.error!.errors);

describe("forms", () => {
  test("a piece is refused at its field and keeps what was typed", () => {
    const title = "x".repeat(10_000);
    const refused = readPieceForm(pieceForm({ title }));
    expect(errors(refused)).toEqual(["title"]);
    if (!refused.ok) expect(refused.error.values.title).toBe(title);
    expect(errors(readPieceForm(pieceForm({ bars: "" })))).toEqual(["bars"]);
    expect(errors(readPieceForm(pieceForm({ markBpm: "500" })))).toEqual(["markBpm"]);
    expect(errors(readPieceForm(pieceForm({ metre: "3/5" })))).toEqual(["metre"]);
    expect(errors(readPieceForm(pieceForm({ changes: "9 2/4, 17" })))).toEqual(["changes"]);
    expect(errors(readPieceForm(pieceForm({ changes: "40 2/4" })))).toEqual(["changes"]);
    expect(errors(readPieceForm(pieceForm({ pickupBeats: "3" })))).toEqual(["pickupBeats"]);
    expect(readPieceForm(pieceForm({ changes: "9 2/4, 13 3/4" })).ok).toBe(true);
  });

  test("a ladder is refused at its field, and what is no JSON with a sentence", () => {
    const form = (text: string) => {
      const made = new FormData();
      made.set("ladder", text);
      return made;
    };
    const range = { fromBar: 5, toBar: 12, pickupBeats: 0, startBeats: 0, endBeats: 0 };
    const metres = [{ fromBar: 1, metre: { beats: 3, unit: 4 as const } }];
    const mark = { markBpm: bpm(90), markUnit: "quarter" as const, tempi: null, made: null };
    const named = { id: "", title: "", origin: "", kind: "piece" as const };
    const piece = { ...named, ...mark, metres, bars: 20, pickupBeats: 0 };
    const passage = { ...range, piece, beatUnit: mark.markUnit };
    const bad = (change: object) =>
      errors(readLadder(form(JSON.stringify({ ...ladder(), ...change })), passage));
    const phase = (name: string, numbers: object) => ({
      phases: [{ school: { name, numbers }, start: null, target: null }],
    });
    expect(bad({})).toEqual([]);
    expect(bad({ target: 50 })).toEqual(["target"]);
    expect(bad({ gate: [{ kind: "of-last", plays: 6, window: 5 }] })).toEqual(["gate.0.plays"]);
    expect(bad(phase("even-steps", { step: 0 }))).toEqual(["phases.0.school.numbers.step"]);
    expect(bad(phase("layers", { layers: [] }))).toEqual(["phases.0.school.numbers.layers"]);
    const beats = { unit: "beat", size: 1, step: 1, window: 64 };
    expect(bad({ ...phase("woven-chain", beats), start: 10, target: 400 })).toEqual([
      "phases.0.school",
    ]);
    expect(bad({ target: 400, overspeed: { in: "bpm", beyond: 5 } })).toEqual(["target"]);
    expect(bad({ start: NaN })).toEqual(["start"]);
    expect(errors(readLadder(form("{"), passage))).toEqual(["form"]);
    expect(errors(readLadder(new FormData(), passage))).toEqual(["form"]);
  });

  test("a room without names, and a day without passages, are told what is missing", () => {
    const form = new FormData();
    form.set("room", "  ");
    expect(errors(readForm(form, roomFormSchema))).toEqual([
      "teacher",
      "signIn",
      "password",
      "room",
    ]);
    const today = new FormData();
    today.set("noVerdict", "wait");
    expect(errors(readToday(today))).toEqual(["form"]);
  });
});
