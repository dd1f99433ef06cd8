import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";

/** Names the variable that tells every worker of a run where the demo room lies. */
export const DEMO_FOLDER = "FIDUS_DEMO_FOLDER";

/** Runs once before all journeys; what it gives runs after them. */
export default async function makeRoom() {
  const folder = await mkdtemp(path.join(tmpdir(), "fidus-demo-"));
  process.env[DEMO_FOLDER] = folder;
  return () => rm(folder, { recursive: true, force: true });
}
