import { createHash } from "node:crypto";
import { mkdir, realpath } from "node:fs/promises";
import net from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";

export class DirectoryInUse extends Error {
  override readonly name = "DirectoryInUse";

  constructor(directory: string) {
    super(
      `Another Fidus is already running on ${directory}. Stop it first, or set FIDUS_DATA to another directory.`,
    );
  }
}

/**
 * Where the lock listens. On Linux an abstract socket: it has no file and is gone with the
 * process however that ends. Elsewhere a socket file, which is taken over when nobody answers.
 */
function lockAddress(directory: string): string {
  const name = `fidus-${createHash("sha256").update(directory).digest("hex").slice(0, 32)}`;
  if (process.platform === "linux") return `\0${name}`;
  if (process.platform === "win32") return `\\\\.\\pipe\\${name}`;
  return path.join(tmpdir(), `${name}.sock`);
}

/** Locks a data directory for this process; throws {@link DirectoryInUse} when it is taken. */
export async function lockDirectory(directory: string): Promise<() => Promise<void>> {
  await mkdir(directory, { recursive: true });
  const server = net.createServer((socket) => socket.destroy());
  server.unref();
  const address = lockAddress(await realpath(directory));
  await new Promise<void>((resolve, reject) => {
    server.once("error", (error: NodeJS.ErrnoException) =>
      reject(error.code === "EADDRINUSE" ? new DirectoryInUse(directory) : error),
    );
    server.listen(address, resolve);
  });
  return () => new Promise((resolve) => server.close(() => resolve()));
}
