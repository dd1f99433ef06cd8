import { rm } from "node:fs/promises";
import net from "node:net";
import path from "node:path";
import type { Backup } from "./folder";

/** Whoever may read the data may ask the server that has it open for a backup: no one else sees this. */
const socketIn = (dataDir: string) => path.join(dataDir, "control.sock");

/** No system takes a longer name for a socket. Then commands are told that a server is running. */
const LONGEST_NAME = 100;

/** Lets commands on this machine ask a running server for a backup. */
export async function listenForCommands(
  dataDir: string,
  takeBackup: () => Promise<Backup>,
): Promise<() => Promise<void>> {
  const name = socketIn(dataDir);
  if (Buffer.byteLength(name) > LONGEST_NAME) return () => Promise.resolve();
  await rm(name, { force: true });
  const server = net.createServer((socket) => {
    // A command that goes away before its answer is no fault of the server's.
    socket.on("error", () => socket.destroy());
    takeBackup().then(
      ({ name: made, heldMs }) => socket.end(JSON.stringify({ name: made, heldMs })),
      (error: Error) => socket.end(JSON.stringify({ sentence: error.message })),
    );
  });
  server.unref();
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(name, resolve);
  });
  return async () => {
    await new Promise((resolve) => server.close(resolve));
    await rm(name, { force: true });
  };
}

/** Asks the running server for a backup; undefined where none runs on this data. */
export const askForBackup = (dataDir: string): Promise<string | undefined> =>
  new Promise((resolve, reject) => {
    const name = socketIn(dataDir);
    if (Buffer.byteLength(name) > LONGEST_NAME) return resolve(undefined);
    const socket = net.connect(name);
    let said = "";
    socket.on("data", (chunk) => (said += chunk.toString()));
    socket.once("end", () => resolve(said));
    socket.once("error", ({ code, message }: NodeJS.ErrnoException) =>
      code === "ENOENT" || code === "ECONNREFUSED"
        ? resolve(undefined)
        : reject(new Error(message)),
    );
  });
