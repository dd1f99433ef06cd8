import { describe, expect, test } from "@jest/globals";
import { againstRow, guessed, readPieceRow, studentOfRow, typedRow, unitTold } from "./table";

const known = { students: [{ id: "1", name: "Maud Ferrier" }] };

describe("a table", () => {
  test("its columns are guessed by their headings, each for one field", () => {
    expect(guessed("students", ["Student", "Instrument"])).toEqual({ name: 0, instrument: 1 });
    expect(guessed("pieces", ["Piece", "Student", "Composer", "Bars", "Tempo", "Beat"])).toEqual({
      title: 0,
      student: 1,
      origin: 2,
      bars: 3,
      markBpm: 4,
      markUnit: 5,
    });
  });

  test("beat units by sign, part of a whole note or name; tempi with a decimal comma", () => {
    expect(["♩.", "1/8", "Dotted half note", "quarter"].map(unitTold)).toEqual([
      "dotted-quarter",
      "eighth",
      "dotted-half",
      "quarter",
    ]);
    const cells = ["Reed Song", " 24", "66,5"];
    const row = typedRow(cells, { title: 0, bars: 1, markBpm: 2 });
    expect(readPieceRow(row)).toMatchObject({
      success: true,
      output: { title: "Reed Song", bars: 24, markBpm: 66.5, markUnit: "quarter" },
    });
  });

  test("says what stands against a row, and whose a piece is", () => {
    expect(againstRow("students", { name: "maud ferrier" }, known, "")).toMatch("already");
    expect(againstRow("students", { name: "" }, known, "")).toMatch("name");
    expect(againstRow("students", { name: "Ben" }, known, "")).toBeUndefined();
    const piece = { title: "Reed Song", bars: "24" };
    expect(againstRow("pieces", { ...piece, bars: "0" }, known, "1")).toBeDefined();
    expect(againstRow("pieces", { ...piece, student: "Ben" }, known, "1")).toMatch("Nobody");
    expect(againstRow("pieces", piece, known, "1")).toBeUndefined();
    expect(studentOfRow(known, { student: "MAUD FERRIER" }, "2")).toBe("1");
    expect(studentOfRow(known, {}, "2")).toBe("2");
  });
});
