/** So many times in a while, for each key; kept in memory. */
export class Allowance {
  private readonly taken = new Map<string, number[]>();

  constructor(
    private readonly now: () => number,
    private readonly whileMs: number,
  ) {}

  private recent(key: string): number[] {
    const since = this.now() - this.whileMs;
    const recent = (this.taken.get(key) ?? []).filter((at) => at > since);
    if (recent.length === 0) this.taken.delete(key);
    return recent;
  }

  /** Takes one of `most`; whether there was one left. */
  take(key: string, most: number): boolean {
    const recent = this.recent(key);
    if (recent.length >= most) return false;
    this.taken.set(key, [...recent, this.now()]);
    return true;
  }

  /** Gives the last one back: what it was taken for did not happen. */
  giveBack(key: string): void {
    const left = (this.taken.get(key) ?? []).slice(0, -1);
    if (left.length > 0) this.taken.set(key, left);
    else this.taken.delete(key);
  }

  /** Forgets whoever has not asked for a while. */
  sweep(): void {
    for (const key of [...this.taken.keys()]) this.recent(key);
  }
}
