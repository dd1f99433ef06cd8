import type { Engine } from "./engine";

/** Opens PGlite in this thread: in memory, in a directory, or from a dump of one. */
export function openPglite(options: {
  dataDir?: string;
  dump?: Blob;
}): Promise<Engine & { dump(): Promise<Blob> }>;
