import createCache, { type EmotionCache } from "@emotion/cache";

/** The cache that MUI's styles go through; its style elements carry the page's nonce. */
export const createStyleCache = (nonce: string): EmotionCache => createCache({ key: "f", nonce });

let ofThisPage: EmotionCache | undefined;

/** The one cache of a page in the browser, whichever pages are gone through in it. */
export function pageStyleCache(): EmotionCache {
  const told = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]');
  return (ofThisPage ??= createStyleCache(told?.nonce ?? ""));
}
