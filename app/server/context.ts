import { createContext, type RouterContextProvider } from "react-router";
import type { Backups } from "./backup/backups";
import type { Services } from "./services";

export const servicesContext = createContext<Services>();
/** The backups of this server. */
export const backupsContext = createContext<Backups>();
/** The nonce that this response's styles and scripts carry. */
export const nonceContext = createContext<string>();

export const servicesOf = (context: Readonly<RouterContextProvider>): Services =>
  context.get(servicesContext);

export const backupsOf = (context: Readonly<RouterContextProvider>): Backups =>
  context.get(backupsContext);
