// Runs a command of the built application (invite, backup, restore) and prints what came of it.
import path from "node:path";
import { fileURLToPath } from "node:url";

process.env.NODE_ENV ??= "production";
const [name, ...more] = process.argv.slice(2);
const commands = await import("../build/server/index.js");
const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");

try {
  process.stdout.write(`${await commands[name]({ root, variables: process.env }, ...more)}\n`);
  process.exit(0);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
