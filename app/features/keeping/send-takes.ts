import * as v from "valibot";
import { noteArrival } from "./arrived";
import { TakeStore, type WaitingTake } from "./take-store";

const SLICE = 400_000;
const TIMEOUT_MS = 15_000;

const nextSchema = v.object({ next: v.number(), whole: v.optional(v.boolean()) });
const sentenceSchema = v.object({ sentence: v.string() });

/** How the sending of takes went: all there, some wait, or the server has said why not. */
export interface TakesSent {
  readonly waiting: number;
  readonly arrived: number;
  /** Takes of others who have used this device, which wait for them. */
  readonly others: readonly string[];
  readonly sentence?: string;
}

class Refused extends Error {}
/** Somebody else's who has used this device: it waits for them. */
class NotOurs extends Error {}

async function ask(url: string, question: RequestInit = {}) {
  const answer = await fetch(url, { ...question, signal: AbortSignal.timeout(TIMEOUT_MS) });
  if (answer.ok && !answer.redirected) return v.parse(nextSchema, await answer.json());
  if (answer.status === 403 || answer.status === 404) throw new NotOurs();
  const told = v.safeParse(sentenceSchema, await answer.json().catch(() => undefined));
  if (told.success && answer.status !== 401) throw new Refused(told.output.sentence);
  throw new Error(`The server answered ${answer.status}.`);
}

/** Sends a take from where the server has it, slice by slice, and then what is known of it. */
async function sendOne({ url, about, bytes }: WaitingTake): Promise<void> {
  const { next: come, whole = false } = await ask(url);
  if (whole) return;
  let next = come;
  while (next < bytes.size) {
    const body = await bytes.slice(next, next + SLICE).arrayBuffer();
    const headers = { "Content-Type": "application/octet-stream" };
    ({ next } = await ask(`${url}?from=${next}`, { method: "PUT", headers, body }));
  }
  const digest = await crypto.subtle.digest("SHA-256", await bytes.arrayBuffer());
  const hash = [...new Uint8Array(digest)].map((n) => n.toString(16).padStart(2, "0")).join("");
  const headers = { "Content-Type": "application/json" };
  const body = JSON.stringify({ take: about, bytes: bytes.size, hash });
  await ask(url, { method: "POST", headers, body });
}

/**
 * Sends every take that lies in this browser, from one window at a time; one that is refused stays,
 * with the reason.
 */
export const sendTakes = (): Promise<TakesSent> =>
  "locks" in navigator ? navigator.locks.request("fidus-send-takes", sendAll) : sendAll();

async function sendAll(): Promise<TakesSent> {
  const store = await TakeStore.open();
  let sentence: string | undefined;
  let waiting = 0;
  let arrived = 0;
  const others: string[] = [];
  for (const take of await store.waiting()) {
    try {
      await sendOne(take);
      noteArrival();
      await store.forget(take.id);
      arrived++;
    } catch (error) {
      if (error instanceof NotOurs) {
        others.push(take.id);
        continue;
      }
      waiting++;
      if (error instanceof Refused) sentence = error.message;
    }
  }
  store.close();
  return { waiting, arrived, others, ...(sentence === undefined ? {} : { sentence }) };
}

/** Takes what could not be sent away from this device, but for takes that wait for somebody else. */
export async function forgetTakes(spared: readonly string[]): Promise<void> {
  try {
    const store = await TakeStore.open();
    for (const { id } of await store.waiting()) if (!spared.includes(id)) await store.forget(id);
    store.close();
  } catch {
    // Where nothing can be kept there is nothing to forget.
  }
}
