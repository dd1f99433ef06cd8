import { useSyncExternalStore } from "react";

const never = () => () => undefined;

/** False on the server and while the page comes alive, then true. */
export const useAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
