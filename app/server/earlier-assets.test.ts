import { mkdir, mkdtemp, readdir, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, expect, test } from "@jest/globals";
import { keepAssets } from "./earlier-assets";

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), "fidus-assets-"));
});
afterAll(() => rm(folder, { recursive: true }));

test("an earlier build's files go 14 days after another took its place, however long it was served", async () => {
  const kept = path.join(folder, "kept");
  const builds = Object.fromEntries(
    await Promise.all(
      ["first", "second"].map(async (name) => {
        const build = path.join(folder, name);
        await mkdir(build);
        await writeFile(path.join(build, "shared-1.js"), "");
        await writeFile(path.join(build, `stand-${name}.js`), name);
        return [name, build] as const;
      }),
    ),
  );
  const served = async (build: string, day: string) => {
    await keepAssets(builds[build]!, kept, new Date(day));
    return (await readdir(kept)).filter((name) => name.endsWith(".js")).sort();
  };
  const both = ["shared-1.js", "stand-first.js", "stand-second.js"];
  expect(await served("first", "2026-03-01")).toEqual(["shared-1.js", "stand-first.js"]);
  expect(await served("second", "2026-06-01")).toEqual(both);
  expect(await served("second", "2026-06-14")).toEqual(both);
  expect(await served("second", "2026-06-16")).toEqual(["shared-1.js", "stand-second.js"]);
});
