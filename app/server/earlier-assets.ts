import {
  copyFile,
  link,
  mkdir,
  readdir,
  readFile,
  rm,
  stat,
  utimes,
  writeFile,
} from "node:fs/promises";
import path from "node:path";
import * as v from "valibot";

const KEPT_MS = 14 * 86_400_000;
const LIST = "now.json";
const listSchema = v.pipe(v.string(), v.parseJson(), v.array(v.string()));

const filesIn = async (folder: string): Promise<string[]> =>
  (await readdir(folder, { withFileTypes: true })).flatMap((each) =>
    each.isFile() && each.name !== LIST ? [each.name] : [],
  );

/** The files of the build that was served last; none where nobody wrote them down. */
async function servedLast(kept: string): Promise<ReadonlySet<string>> {
  const text = await readFile(path.join(kept, LIST), "utf8").catch(() => "[]");
  const read = v.safeParse(listSchema, text);
  return new Set(read.success ? read.output : []);
}

/** A build never writes into a file: a second name for it is as good as a copy, where the disk is the same. */
const linkOrCopy = (from: string, to: string): Promise<void> =>
  link(from, to).catch(() => copyFile(from, to));

/**
 * Keeps the files of a build beside the data, so that a page that was opened before an update is
 * still served what it loads later. Those of an earlier build go 14 days after another took its
 * place. Their names are made from what is in them: the same name is the same file.
 */
export async function keepAssets(assets: string, kept: string, now: Date): Promise<void> {
  await mkdir(kept, { recursive: true });
  const current = await filesIn(assets);
  const [there, before] = [new Set(await filesIn(kept)), await servedLast(kept)];
  const isCurrent = new Set(current);
  for (const name of there) {
    if (isCurrent.has(name)) continue;
    const file = path.join(kept, name);
    if (before.has(name)) await utimes(file, now, now);
    else if (now.getTime() - (await stat(file)).mtimeMs > KEPT_MS) await rm(file);
  }
  await Promise.all(
    current
      .filter((name) => !there.has(name))
      .map((name) => linkOrCopy(path.join(assets, name), path.join(kept, name))),
  );
  await writeFile(path.join(kept, LIST), JSON.stringify(current));
}
