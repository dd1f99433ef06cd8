// Prints an address at which one studio can be opened. Reads FIDUS_DATA, FIDUS_ORIGIN, FIDUS_PORT.
import path from "node:path";
import { fileURLToPath } from "node:url";

process.env.NODE_ENV ??= "production";
const { invite } = await import("../build/server/index.js");
const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");

try {
  process.stdout.write(`${await invite({ root, variables: process.env })}\n`);
  process.exit(0);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
