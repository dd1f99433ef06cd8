/** Something that a running server does again and again. */
export interface Chore {
  readonly everyMs: number;
  readonly work: () => Promise<unknown>;
}

/** Does chores, each again when its time has come and the last time is through; stops when told. */
export function keepUp(chores: readonly Chore[], onFault: (error: unknown) => void): () => void {
  const timers = chores.map(({ everyMs, work }) => {
    let busy = false;
    const timer = setInterval(() => {
      if (busy) return;
      busy = true;
      void work()
        .catch(onFault)
        .finally(() => (busy = false));
    }, everyMs);
    timer.unref();
    return timer;
  });
  return () => timers.forEach((timer) => clearInterval(timer));
}
