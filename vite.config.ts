import { reactRouter } from "@react-router/dev/vite";
import { defineConfig, type Plugin } from "vite";

/**
 * Node resolves externals without the condition "development"; with it, the development server
 * would load a second copy of Emotion and ignore the first one's cache.
 */
const oneEmotion: Plugin = {
  name: "fidus:one-emotion",
  configEnvironment(name, config) {
    if (name !== "ssr") return;
    const resolve = (config.resolve ??= {});
    resolve.externalConditions = ["node", "import", "module-sync"];
  },
};

const OWN_PROCESS = [
  "@electric-sql/pglite",
  "@node-rs/argon2",
  "pdfkit",
  "yauzl",
  "express",
  "compression",
];

export default defineConfig(({ command }) => ({
  plugins: [reactRouter(), oneEmotion],
  resolve: { tsconfigPaths: true },
  optimizeDeps: {
    entries: ["./app/entry.client.tsx", "./app/root.tsx", "./app/routes/**/*.tsx"],
    exclude: ["@electric-sql/pglite"],
  },
  environments: {
    ssr: {
      build: { rollupOptions: { input: "./app/server/main.ts" } },
      resolve: command === "build" ? { noExternal: true, external: OWN_PROCESS } : {},
    },
  },
  build: { target: "es2022", assetsInlineLimit: 0 },
}));
