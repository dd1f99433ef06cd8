import { createHash, randomBytes } from "node:crypto";
import { mkdir, readdir, rename, rm, stat, writeFile } from "node:fs/promises";
import path from "node:path";
import { Allowance } from "./allowance";

/** Who may open a studio here: anyone, whoever has an invitation, or the first who comes. */
export const OPENING_WAYS = ["open", "invited", "first"] as const;
export type OpeningWay = (typeof OPENING_WAYS)[number];

const HOUR_MS = 3_600_000;
/** An invitation that nobody uses is over. */
const INVITED_MS = 14 * 24 * HOUR_MS;
/** As many studios as from this many addresses, and no more in an hour over all. */
const ADDRESSES_AT_ONCE = 4;

const folderIn = (dataDir: string) => path.join(dataDir, "invitations");
const fileOf = (dataDir: string, secret: string) =>
  path.join(folderIn(dataDir), createHash("sha256").update(secret).digest("hex"));

/** Writes an invitation beside the data: a running server finds it there. Tells its secret. */
export async function invite(dataDir: string): Promise<string> {
  const secret = randomBytes(24).toString("base64url");
  await mkdir(folderIn(dataDir), { recursive: true, mode: 0o700 });
  await writeFile(fileOf(dataDir, secret), "", { mode: 0o600 });
  return secret;
}

/** What somebody holds who may open a studio; given back if nothing comes of it. */
export interface Admission {
  /** Only as long as there is no studio. */
  readonly onlyFirst: boolean;
  giveBack(): Promise<void>;
}

/** The door through which new studios come: who may, and how many in an hour. */
export class Opening {
  private readonly allowance: Allowance;

  constructor(
    readonly way: OpeningWay,
    private readonly dataDir: string,
    private readonly anHour: number,
    now: () => number,
  ) {
    this.allowance = new Allowance(now, HOUR_MS);
  }

  /** Whether an invitation is still good. */
  async invites(secret: string): Promise<boolean> {
    const found = await stat(fileOf(this.dataDir, secret)).catch(() => undefined);
    return found !== undefined && Date.now() - found.mtimeMs < INVITED_MS;
  }

  /** Lets somebody of a network open one, with the invitation that they have; or says why not. */
  async admit(network: string, secret: string): Promise<Admission | "not-invited" | "too-many"> {
    this.allowance.sweep();
    if (!this.allowance.take(network, this.anHour)) return "too-many";
    if (!this.allowance.take("all", this.anHour * ADDRESSES_AT_ONCE)) {
      this.allowance.giveBack(network);
      return "too-many";
    }
    const giveBack = () => {
      this.allowance.giveBack(network);
      this.allowance.giveBack("all");
      return Promise.resolve();
    };
    if (this.way !== "invited") return { onlyFirst: this.way === "first", giveBack };
    const file = fileOf(this.dataDir, secret);
    const used = `${file}.used`;
    // Renamed by one alone, however many come at the same moment.
    const mine = (await this.invites(secret)) && (await rename(file, used).then(yes, no));
    if (!mine) {
      await giveBack();
      return "not-invited";
    }
    return {
      onlyFirst: false,
      giveBack: async () => {
        await giveBack();
        await rename(used, file);
      },
    };
  }

  /** Takes away invitations that are used or over. */
  async sweep(): Promise<void> {
    this.allowance.sweep();
    const folder = folderIn(this.dataDir);
    for (const name of await readdir(folder).catch(() => [])) {
      const file = path.join(folder, name);
      const { mtimeMs } = await stat(file);
      if (name.endsWith(".used") || Date.now() - mtimeMs > INVITED_MS) await rm(file);
    }
  }
}

const yes = () => true;
const no = () => false;
