// Starts the built application. Reads FIDUS_DATA, FIDUS_PORT, FIDUS_HOST and FIDUS_DEMO.
import path from "node:path";
import { fileURLToPath } from "node:url";

process.env.NODE_ENV ??= "production";
const { start } = await import("../build/server/index.js");
const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");

try {
  const running = await start({ root, variables: process.env });
  for (const signal of ["SIGINT", "SIGTERM"]) {
    // PGlite keeps the process alive: close it and leave by ourselves.
    process.once(signal, () => running.close().finally(() => process.exit(0)));
  }
  // Said last: a signal that comes as soon as it is read closes the data like any other.
  for (const notice of running.notices) process.stdout.write(`${notice}\n`);
  process.stdout.write(`Fidus is ready at ${running.address}\n`);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
