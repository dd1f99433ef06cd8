// The application with live reloading, for working on it.
import path from "node:path";
import { fileURLToPath } from "node:url";
import { createServer } from "vite";

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");
const vite = await createServer({ root, server: { middlewareMode: true } });
const { start } = await vite.ssrLoadModule("./app/server/main.ts");
const running = await start({
  root,
  variables: process.env,
  development: {
    middleware: vite.middlewares,
    build: () => vite.ssrLoadModule("virtual:react-router/server-build"),
  },
});
process.stdout.write(`Fidus is ready at ${running.address}\n`);
process.once("SIGINT", () => running.close().finally(() => process.exit(0)));
