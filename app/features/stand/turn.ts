/** So long a window waits for the one before it to end its last write. */
const PATIENCE_MS = 3000;

/** A turn among the windows of this browser, by name; one that never ends is not waited for. */
export class Turn {
  private release: (() => void) | undefined;

  constructor(private readonly name: string) {}

  async begin(): Promise<void> {
    if (!("locks" in navigator)) return;
    const signal = AbortSignal.timeout(PATIENCE_MS);
    await new Promise<void>((begun) => {
      navigator.locks
        .request(this.name, { signal }, () => {
          begun();
          return new Promise<void>((resolve) => (this.release = resolve));
        })
        .catch(() => begun());
    });
  }

  end(): void {
    this.release?.();
  }
}
