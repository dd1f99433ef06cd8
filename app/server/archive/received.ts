import { createWriteStream } from "node:fs";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { err, type Result } from "~/core/result";

const isFull = (error: unknown): boolean =>
  error instanceof Error && "code" in error && (error.code === "ENOSPC" || error.code === "EDQUOT");

/** Lays what is sent on the disk for as long as it is worked on, never all of it in memory. */
export async function withReceived<T>(
  request: Request,
  work: (file: string) => Promise<Result<T, string>>,
): Promise<Result<T, string>> {
  const { body } = request;
  if (!body) return err("Choose a file first.");
  const folder = await mkdtemp(path.join(tmpdir(), "fidus-received-"));
  try {
    const file = path.join(folder, "file");
    await pipeline(Readable.fromWeb(body as never), createWriteStream(file));
    return await work(file);
  } catch (error) {
    if (isFull(error)) return err("The server's disk is full. Nothing was changed.");
    throw error;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
