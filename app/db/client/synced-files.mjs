// Plain JavaScript, since it also runs in the database's thread, which no bundler prepares.
// @ts-check
import fs from "node:fs";
import path from "node:path";
import { NodeFS } from "@electric-sql/pglite/nodefs";

/** What a file or directory holds is on the disk when this returns. @param {string} name */
function flush(name) {
  const handle = fs.openSync(name, "r");
  try {
    fs.fsyncSync(handle);
  } finally {
    fs.closeSync(handle);
  }
}

/** Flushes a directory and all that is in it: what was laid there by others than the database.
 * @param {string} directory */
export function flushAll(directory) {
  for (const entry of fs.readdirSync(directory, { recursive: true, withFileTypes: true })) {
    flush(path.join(entry.parentPath, entry.name));
  }
  flush(directory);
}

/**
 * A directory whose writes are flushed when the database says so. PGlite's own asks the system for
 * nothing: what it calls synced is lost in a power cut.
 */
export class SyncedFiles extends NodeFS {
  /**
   * @override
   * @param {Parameters<NodeFS["init"]>[0]} pglite
   * @param {Parameters<NodeFS["init"]>[1]} options
   */
  async init(pglite, options) {
    const { emscriptenOpts } = await super.init(pglite, options);
    /** @param {any} module */
    const hook = ({ NODEFS }) => {
      /** @param {any} stream */
      NODEFS.stream_ops.fsync = (stream) => {
        // A directory is opened without a handle of the system's.
        if (stream.nfd === undefined) flush(NODEFS.realPath(stream.node));
        else fs.fsyncSync(stream.nfd);
        return 0;
      };
    };
    return {
      emscriptenOpts: {
        ...emscriptenOpts,
        preRun: [hook, ...[emscriptenOpts.preRun ?? []].flat()],
      },
    };
  }
}
