import { readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import { promisify } from "node:util";
import { brotliCompress, constants, gzip } from "node:zlib";
import type { Plugin } from "vite";

interface Graph {
  getModuleInfo(id: string): { readonly importedIds: readonly string[] } | null;
}

/** Every module that comes at once with some others. */
function comesWith(graph: Graph, first: readonly string[]): Set<string> {
  const known = new Set<string>();
  const open = [...first];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    const info = known.has(id) ? null : graph.getModuleInfo(id);
    if (!info) continue;
    known.add(id);
    open.push(...info.importedIds);
  }
  return known;
}

/** Names a file for all modules that come with some. */
function fileOf(name: string, first: readonly string[]) {
  const asked = new WeakMap<Graph, Set<string>>();
  return (id: string, graph: Graph): string | null => {
    const all = asked.get(graph) ?? comesWith(graph, first);
    asked.set(graph, all);
    return all.has(id) ? name : null;
  };
}

const route = (name: string) => `${path.resolve("app", name)}?__react-router-build-client-route`;
const EVERY_PAGE = [path.resolve("app/entry.client.tsx"), route("root.tsx")];
const THE_STAND = [route("routes/stand.tsx")];

const INTERFACE_LIBRARY =
  /node_modules\/(@mui\/(material|system|utils|styled-engine|private-theming)|@emotion|react-transition-group)\//;

/**
 * Few files for what pages share, where each module or two would have one of its own: asking for a
 * hundred of them costs more than what is in them. The stand takes nothing with it that only the
 * desk needs.
 */
export const fewFiles = {
  strictExecutionOrder: true,
  codeSplitting: {
    groups: [
      { name: fileOf("every-page", EVERY_PAGE), priority: 4 },
      { name: fileOf("stand-and-desk", THE_STAND), priority: 3, minShareCount: 2 },
      { name: "interface", test: INTERFACE_LIBRARY, priority: 2, minShareCount: 5 },
      { name: "desk", test: /\/app\//, priority: 1, minShareCount: 4 },
    ],
  },
};

const WORTH_PACKING = /\.(js|css|svg|json|wasm)$/;
const LEAST_BYTES = 1024;
/** A second for all files where the tightest takes nine, for a twelfth less. */
const BROTLI = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };

/** Writes each file once more packed, so that no server has to do so at every asking. */
export const packedFiles: Plugin = {
  name: "fidus:packed-files",
  apply: "build",
  applyToEnvironment: ({ name }) => name === "client",
  async writeBundle({ dir = "" }, bundle) {
    const names = Object.keys(bundle).filter((name) => WORTH_PACKING.test(name));
    await Promise.all(
      names.map(async (name) => {
        const file = path.join(dir, name);
        const plain = await readFile(file);
        if (plain.length < LEAST_BYTES) return;
        await writeFile(`${file}.br`, await promisify(brotliCompress)(plain, BROTLI));
        await writeFile(`${file}.gz`, await promisify(gzip)(plain));
      }),
    );
  },
};
