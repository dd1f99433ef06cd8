import { randomUUID } from "node:crypto";
import { mkdir, mkdtemp, rm, symlink } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { expect, test } from "@jest/globals";
import { TakeFiles } from "./take-files";

test("on a full disk nothing is taken, and nothing half is kept", async () => {
  const directory = await mkdtemp(path.join(tmpdir(), "fidus-full-"));
  const files = new TakeFiles(directory);
  const [id, other] = [randomUUID(), randomUUID()];
  await mkdir(path.join(directory, "coming"));
  // A device on which there is never any room.
  for (const each of [id, other]) await symlink("/dev/full", path.join(directory, "coming", each));
  expect(await files.append(id, 0, new Uint8Array(1000))).toBe("full");
  expect(await files.next(id)).toBe(0);
  expect(await files.keepWhole(other, new Uint8Array(1000))).toBe("full");
  expect(await files.sweep([])).toEqual({ orphans: 0, missing: [] });
  await rm(directory, { recursive: true });
});
