import { PassThrough, Transform } from "node:stream";
import { CacheProvider, type EmotionCache } from "@emotion/react";
import { createReadableStreamFromReadable } from "@react-router/node";
import { renderToPipeableStream } from "react-dom/server";
import { ServerRouter, type EntryContext, type RouterContextProvider } from "react-router";
import { nonceContext } from "~/server/context";
import { createStyleCache } from "~/theme/style-cache";

const RENDER_TIMEOUT_MS = 10_000;

/** Every style that the page needs, as one element. */
function styleElement({ inserted, key }: EmotionCache, nonce: string): string {
  const names = Object.keys(inserted).filter((name) => typeof inserted[name] === "string");
  const css = names.map((name) => inserted[name]).join("");
  return `<style nonce="${nonce}" data-emotion="${key} ${names.join(" ")}">${css}</style>`;
}

/** Holds the page until it is whole, then puts its styles at the end of the head. */
function styleInserter(cache: EmotionCache, nonce: string): Transform {
  const chunks: Buffer[] = [];
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      chunks.push(chunk);
      done();
    },
    flush(done) {
      const page = Buffer.concat(chunks).toString("utf8");
      this.push(page.replace("</head>", () => `${styleElement(cache, nonce)}</head>`));
      done();
    },
  });
}

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  loadContext: RouterContextProvider,
): Promise<Response> {
  const nonce = loadContext.get(nonceContext);
  const cache = createStyleCache(nonce);
  cache.compat = true;
  return new Promise((resolve, reject) => {
    let responseStatus = status;
    const { pipe, abort } = renderToPipeableStream(
      <CacheProvider value={cache}>
        <ServerRouter context={routerContext} url={request.url} nonce={nonce} />
      </CacheProvider>,
      {
        nonce,
        // Pages are small and their data is awaited: whole pages keep styles in one place.
        onAllReady() {
          const body = new PassThrough();
          headers.set("Content-Type", "text/html; charset=utf-8");
          headers.set("Cache-Control", "no-store");
          resolve(
            new Response(createReadableStreamFromReadable(body), {
              headers,
              status: responseStatus,
            }),
          );
          pipe(styleInserter(cache, nonce)).pipe(body);
        },
        onShellError: reject,
        onError(error) {
          responseStatus = 500;
          process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
        },
      },
    );
    setTimeout(abort, RENDER_TIMEOUT_MS).unref();
  });
}
