import { reactRouter } from "@react-router/dev/vite";
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { defineConfig, type Plugin } from "vite";
import { fewFiles, packedFiles } from "./vite.files";

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

const PDF_FOLDER = "node_modules/pdfjs-dist/wasm";
const { version } = JSON.parse(readFileSync("node_modules/pdfjs-dist/package.json", "utf8")) as {
  version: string;
};
/** Where the files are served that unpack scanned pages; another version has another address. */
const PDF_FILES = `assets/pdfjs-${version}`;

/** PDF.js asks for these by their names, so that they can't be bundled. */
const pdfFiles: Plugin = {
  name: "fidus:pdf-files",
  apply: "build",
  applyToEnvironment: ({ name }) => name === "client",
  generateBundle() {
    for (const name of readdirSync(PDF_FOLDER)) {
      const source = readFileSync(path.join(PDF_FOLDER, name));
      this.emitFile({ type: "asset", fileName: `${PDF_FILES}/${name}`, source });
    }
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
  plugins: [reactRouter(), oneEmotion, pdfFiles, packedFiles],
  define: {
    __PDF_FILES__: JSON.stringify(command === "build" ? `/${PDF_FILES}/` : `/${PDF_FOLDER}/`),
  },
  resolve: { tsconfigPaths: true },
  optimizeDeps: {
    entries: ["./app/entry.client.tsx", "./app/root.tsx", "./app/routes/**/*.tsx"],
    exclude: ["@electric-sql/pglite"],
  },
  environments: {
    client: { build: { rolldownOptions: { output: fewFiles } } },
    ssr: {
      build: { rollupOptions: { input: "./app/server/main.ts" } },
      resolve: command === "build" ? { noExternal: true, external: OWN_PROCESS } : {},
    },
  },
  // Workers load what they need only when they need it.
  worker: { format: "es" },
  build: { target: "es2022", assetsInlineLimit: 0, cssCodeSplit: false },
}));
