import { expect, test } from "@jest/globals";
import Papa from "papaparse";
import { csvOf } from "./csv";

const read = async (rows: (string | number | null)[][]) => {
  const columns = ["what", "minutes"];
  const text = await csvOf("a.csv", { columns, rows }).text();
  return Papa.parse<string[]>(text.trim()).data;
};

test("a table comes back as it was, whatever is written in it", async () => {
  const nasty = 'a "quoted" line,\nand a second; ünd Noten ♩';
  expect(await read([[nasty, 12.5]])).toEqual([
    ["what", "minutes"],
    [nasty, "12.5"],
  ]);
});

test("nothing in it is a formula for a table program", async () => {
  for (const formula of ["=1+1", "+1", "-1+1", "@sum", " =1", "\u00a0=1", "\tx", "＝1", "＋1"]) {
    expect((await read([[formula, 1]]))[1]).toEqual([`'${formula}`, "1"]);
  }
  expect((await read([["plain", -3]]))[1]).toEqual(["plain", "-3"]);
});
