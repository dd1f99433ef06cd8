import { expect, test } from "@jest/globals";
import Papa from "papaparse";
import { csvOf, type Table } from "./csv";

const columns = ["what", "minutes"];
const textOf = async (...parts: Table[]) => (await csvOf("a.csv", parts)).text();

const read = async (rows: (string | number | null)[][]) => {
  return Papa.parse<string[]>((await textOf({ columns, rows })).trim()).data;
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

test("parts of a table are one table, with its columns named once", async () => {
  const part = (...rows: [string, number][]) => ({ columns, rows });
  const whole = await textOf(part(["a", 1], ["b", 2]), part(["c", 3]));
  expect(whole).toBe("what,minutes\r\na,1\r\nb,2\r\nc,3\r\n");
  expect(await textOf(part(), part(["c", 3]))).toBe("what,minutes\r\nc,3\r\n");
});

test("what breaks before the first line is no file", async () => {
  const broken = async function* (): AsyncGenerator<Table> {
    await Promise.reject(new Error("gone"));
    yield { columns, rows: [] };
  };
  await expect(csvOf("a.csv", broken())).rejects.toThrow("gone");
});
