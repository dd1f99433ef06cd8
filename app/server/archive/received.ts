import { mkdtemp, open, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { err, type Result } from "~/core/result";

/** Whether something failed since there is no room left on the disk. */
export const isDiskFull = (error: unknown): boolean =>
  error instanceof Error && "code" in error && (error.code === "ENOSPC" || error.code === "EDQUOT");

const FULL = "The server's disk is full. Nothing was changed.";

/**
 * Writes what is sent into a file; whether there was room for it. What there is no room for is still
 * read to its end: whoever is cut off while sending never sees the answer.
 */
async function written(body: Readable, name: string): Promise<boolean> {
  const file = await open(name, "w");
  let fits = true;
  try {
    for await (const chunk of body) {
      if (!fits) continue;
      try {
        await file.appendFile(chunk as Uint8Array);
      } catch (error) {
        if (!isDiskFull(error)) throw error;
        fits = false;
      }
    }
  } finally {
    await file.close();
  }
  return fits;
}

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
    const fits = await written(Readable.fromWeb(body as never), file);
    return fits ? await work(file) : err(FULL);
  } catch (error) {
    if (isDiskFull(error)) return err(FULL);
    throw error;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
