// Runs the benchmarks in bench/ through Vite, so that TypeScript and the ~ paths are understood.
// Prints figures; judges nothing. The application must be built. Another entry may be named.
import path from "node:path";
import { fileURLToPath } from "node:url";
import { createServer } from "vite";

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");
const vite = await createServer({
  root,
  configFile: false,
  resolve: { tsconfigPaths: true },
  server: { middlewareMode: true, hmr: false, ws: false },
  optimizeDeps: { noDiscovery: true },
  appType: "custom",
});
await vite.ssrLoadModule(process.argv[2] ?? "./bench/main.ts");
await vite.close();
