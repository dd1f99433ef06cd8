import { createContext, type RouterContextProvider } from "react-router";
import type { Services } from "./services";

export const servicesContext = createContext<Services>();
/** The nonce that this response's styles and scripts carry. */
export const nonceContext = createContext<string>();

export const servicesOf = (context: Readonly<RouterContextProvider>): Services =>
  context.get(servicesContext);
