import { defineConfig } from "vite";

/** The server's own worker threads, which the build of its pages does not emit. */
export default defineConfig({
  resolve: { tsconfigPaths: true },
  publicDir: false,
  build: {
    ssr: true,
    target: "node20",
    outDir: "build/threads",
    rollupOptions: {
      input: {
        score: "./app/server/score/thread.ts",
        print: "./app/features/print/thread.server.ts",
        room: "./app/server/archive/room-thread.ts",
      },
      output: { entryFileNames: "[name].js" },
    },
  },
  ssr: {
    noExternal: true,
    external: ["pdfkit", "sharp", "verovio", "verovio/wasm", "verovio/esm", "yauzl"],
  },
});
