import { spawn, type ChildProcess } from "node:child_process";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import type { ClockSetting } from "./fast-clock";

export interface ServerOptions {
  readonly dataDir: string;
  readonly port?: number;
  readonly demo?: boolean;
  /** A file that tells by how many days the room's clock runs ahead. */
  readonly daysFile?: string;
  /** The room's clock, where it is not the real one. */
  readonly clock?: ClockSetting | undefined;
  /** Other variables of its environment. */
  readonly variables?: Readonly<Record<string, string>>;
}

/** The built application as a process of its own, so that it can be killed like one. */
export class FidusServer {
  private constructor(
    private readonly child: ChildProcess,
    readonly address: string,
  ) {}

  static async start({
    dataDir,
    port = 0,
    demo = false,
    daysFile,
    clock,
    variables = {},
  }: ServerOptions): Promise<FidusServer> {
    const child = spawn(process.execPath, ["--liftoff-only", "bin/serve.mjs"], {
      env: {
        ...process.env,
        FIDUS_DATA: dataDir,
        FIDUS_PORT: String(port),
        FIDUS_DEMO: demo ? "1" : "0",
        // Every journey has a studio of its own.
        FIDUS_OPENINGS: "100000",
        ...variables,
        ...(daysFile ? { FIDUS_DAYS_FILE: daysFile } : {}),
        ...(clock ? { FIDUS_CLOCK: `${clock.real},${clock.virtual},${clock.rate}` } : {}),
      },
      stdio: ["ignore", "pipe", "pipe"],
    });
    const address = await new Promise<string>((resolve, reject) => {
      let said = "";
      const hear = (chunk: Buffer) => {
        said += chunk.toString();
        const ready = /ready at (http:\S+)/.exec(said);
        if (ready) resolve(ready[1]!);
      };
      child.stdout.on("data", hear);
      child.stderr.on("data", hear);
      child.once("exit", () => reject(new Error(said)));
    });
    const server = new FidusServer(child, address);
    child.stderr.on("data", (chunk: Buffer) => (server.said += chunk.toString()));
    return server;
  }

  /** What the server has said since it was ready. */
  said = "";

  get port(): number {
    return Number(new URL(this.address).port);
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    if (this.child.exitCode !== null || this.child.signalCode !== null) return;
    const gone = new Promise((resolve) => this.child.once("exit", resolve));
    this.child.kill(signal);
    await gone;
  }

  stop = () => this.end("SIGTERM");
  /** As if the power of the process had gone: no handler runs. */
  killHard = () => this.end("SIGKILL");
}

export async function throwAwayDirectory() {
  const directory = await mkdtemp(path.join(tmpdir(), "fidus-e2e-"));
  return { directory, remove: () => rm(directory, { recursive: true, force: true }) };
}
