import type { Database } from "~/db/client";
import { checkpoint, writtenUpTo } from "~/db/queries";
import type { Backup, BackupFolder } from "./folder";
import { takeBackup } from "./take-backup";

const HOUR_MS = 3_600_000;

interface BackupSettings {
  readonly db: Database;
  readonly dataDir: string;
  readonly folder: BackupFolder;
  /** How many are kept. */
  readonly keep: number;
  /** Hours between two that are taken by themselves; 0: none is. */
  readonly everyHours: number;
  readonly now: () => number;
}

/** The backups of a running server: one at a time, and no checkpoint of its own meanwhile. */
export class Backups {
  private underWay: Promise<Backup> | undefined;
  private known: Promise<Backup | undefined> | undefined;
  private settledAt = "";

  constructor(private readonly settings: BackupSettings) {}

  get everyHours(): number {
    return this.settings.everyHours;
  }

  get keep(): number {
    return this.settings.keep;
  }

  /** The newest whole backup. */
  newest(): Promise<Backup | undefined> {
    this.known ??= this.settings.folder.all().then(([first]) => first);
    return this.known;
  }

  /** How many whole hours old the newest is. */
  async hoursOld(): Promise<number | undefined> {
    const newest = await this.newest();
    return newest && Math.floor((this.settings.now() - Date.parse(newest.at)) / HOUR_MS);
  }

  /** Takes one now, or waits for the one that is being taken. */
  take(): Promise<Backup> {
    this.underWay ??= this.takeNow().finally(() => (this.underWay = undefined));
    return this.underWay;
  }

  private async takeNow(): Promise<Backup> {
    const { db, dataDir, folder, keep, now } = this.settings;
    const backup = await takeBackup({ db, dataDir, folder, at: new Date(now()) });
    await folder.prune(keep);
    this.known = undefined;
    return backup;
  }

  /** Takes one if the newest is too old. */
  async takeIfDue(): Promise<void> {
    const { everyHours, now } = this.settings;
    if (everyHours === 0) return;
    const newest = await this.newest();
    const age = newest ? now() - Date.parse(newest.at) : Infinity;
    if (age >= everyHours * HOUR_MS) await this.take();
  }

  /** Brings what was written to its place, where anything was. */
  async settle(): Promise<void> {
    const { db } = this.settings;
    if (this.underWay || (await writtenUpTo(db)) === this.settledAt) return;
    await checkpoint(db);
    this.settledAt = await writtenUpTo(db);
  }
}
