import { createContext, redirect, type Cookie, type RouterContextProvider } from "react-router";
import { whoIs, type Who } from "~/db/queries";
import type { Services } from "../services";
import { signInIdOf } from "./cookie";
import { networkOf } from "./network";
import type { Opening } from "./opening";
import type { Throttle } from "./throttle";

/** What letting somebody in needs. */
export interface Door {
  readonly cookie: Cookie;
  readonly throttle: Throttle;
  /** Who may open a studio. */
  readonly opening: Opening;
  /** The address that people open, where it was said; else the one that they asked by. */
  readonly origin: string | undefined;
  /** Demo rooms let anyone in on one press. */
  readonly demo: boolean;
}

export interface Caller {
  readonly door: Door;
  /** Where the request comes from, for slowing down. */
  readonly address: string;
  /** Asked on the server's own machine, and not through a proxy. */
  readonly isHere: boolean;
  /** Looked up once per request, and only when somebody asks. */
  readonly who: () => Promise<Who | undefined>;
}

export const callerContext = createContext<Caller>();

export const callerOf = (context: Readonly<RouterContextProvider>): Caller =>
  context.get(callerContext);

/** A path of ours as people open it. */
export const addressOf = ({ door }: Caller, { url }: Request, path: string): string =>
  new URL(path, door.origin ?? url).href;

/** Who sends a request. */
export function caller(
  door: Door,
  { db }: Services,
  {
    cookie,
    address,
    isHere,
  }: {
    readonly cookie: string | undefined;
    readonly address: string;
    readonly isHere: boolean;
  },
): Caller {
  let known: Promise<Who | undefined> | undefined;
  const find = async () => {
    const id = cookie ? await signInIdOf(door.cookie, cookie) : undefined;
    return id ? whoIs(db, id) : undefined;
  };
  return { door, address: networkOf(address), isHere, who: () => (known ??= find()) };
}

/** Where somebody begins: the teacher at the week, a student at today, a parent at the child's week. */
export function startOf({ studioId, personId, role, looksOn }: Who): string {
  const room = `/studio/${studioId}`;
  if (role === "teacher") return room;
  if (role === "student") return `${room}/students/${personId}/today`;
  return looksOn[0] ? `${room}/students/${looksOn[0]}/week` : "/nobody";
}

/** Back to a page of ours and never to anyone else's; browsers drop tabs and line ends from addresses. */
export const ownPath = (to: string | null): string | undefined =>
  to && /^\/(?![/\\])[^\\\p{Cc}]*$/u.test(to) ? to : undefined;

/** Goes somewhere with the cookie of a sign-in, or with an empty one. */
export async function goWith(door: Door, signInId: string | undefined, to: string) {
  const options = signInId ? {} : { maxAge: 0 };
  const cookie = await door.cookie.serialize(signInId ?? "", options);
  return redirect(to, { headers: { "Set-Cookie": cookie } });
}
