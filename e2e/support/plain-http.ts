import { request as httpRequest } from "node:http";
import { newName, PASSWORD } from "./teacher";

export interface Asked {
  readonly method?: string;
  readonly headers?: Record<string, string>;
  readonly body?: string | Uint8Array;
}

export interface Answered {
  readonly status: number;
  readonly text: string;
  readonly bytes: Uint8Array;
  readonly headers: Record<string, unknown>;
}

/** Asks as any program may: with whatever host, origin and body. */
export function ask(
  address: string,
  { method = "GET", headers = {}, body }: Asked = {},
): Promise<Answered> {
  const length = body === undefined ? {} : { "content-length": Buffer.byteLength(body) };
  return new Promise((resolve, reject) => {
    const sent = httpRequest(address, { method, headers: { ...headers, ...length } }, (answer) => {
      const chunks: Buffer[] = [];
      answer.on("data", (chunk: Buffer) => chunks.push(chunk));
      answer.on("end", () => {
        const bytes = Buffer.concat(chunks);
        const { statusCode, headers: told } = answer;
        resolve({ status: statusCode!, text: bytes.toString(), bytes, headers: told });
      });
    });
    sent.on("error", reject);
    sent.end(body);
  });
}

export const formOf = (fields: Record<string, string>) => new URLSearchParams(fields).toString();
export const FORM = "application/x-www-form-urlencoded";

/** Opens a studio by its form; the answer, and the cookie of its teacher. */
export async function opens(
  address: string,
  { origin = address, host = "", query = "", name = "" } = {},
) {
  const body = formOf({
    ...{ room: "Weir Lane", teacher: "Odile", name, instrument: "", timeZone: "UTC" },
    ...{ signIn: newName(), password: PASSWORD },
  });
  const headers = {
    ...{ origin, "content-type": FORM },
    ...(host ? { host, "x-forwarded-proto": "https" } : {}),
  };
  const answer = await ask(`${address}/open${query}`, { method: "POST", headers, body });
  const [cookie = ""] = (answer.headers["set-cookie"] as string[] | undefined) ?? [];
  return { ...answer, cookie: cookie.split(";")[0]!, to: String(answer.headers.location ?? "") };
}
