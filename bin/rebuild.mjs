// Counts again what is counted from the events of all rooms. Reads FIDUS_DATA.
import path from "node:path";
import { fileURLToPath } from "node:url";

process.env.NODE_ENV ??= "production";
const { rebuild } = await import("../build/server/index.js");
const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");

try {
  await rebuild({ root, variables: process.env });
  process.exit(0);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
