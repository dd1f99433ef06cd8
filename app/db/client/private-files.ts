import { chmod, readdir } from "node:fs/promises";
import path from "node:path";

const OURS = { directory: 0o700, file: 0o600, mask: 0o077 } as const;

/**
 * Takes everybody else's rights away from a directory and all that is in it, and sees to it that
 * what this process makes from here on has none either, whatever it was started with.
 */
export async function forUsAlone(directory: string): Promise<void> {
  process.umask(OURS.mask);
  await chmod(directory, OURS.directory);
  const entries = await readdir(directory, { recursive: true, withFileTypes: true });
  await Promise.all(
    entries.map((entry) => {
      const mode = entry.isDirectory() ? OURS.directory : OURS.file;
      return entry.isSymbolicLink()
        ? undefined
        : chmod(path.join(entry.parentPath, entry.name), mode);
    }),
  );
}
