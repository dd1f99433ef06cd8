import createCache, { type EmotionCache } from "@emotion/cache";

/** The cache that MUI's styles go through; its style elements carry the page's nonce. */
export const createStyleCache = (nonce: string): EmotionCache => createCache({ key: "f", nonce });
