import { CacheProvider } from "@emotion/react";
import { startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { createStyleCache } from "~/theme/style-cache";

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

startTransition(() => {
  hydrateRoot(
    document,
    <CacheProvider value={createStyleCache(nonce)}>
      <HydratedRouter />
    </CacheProvider>,
  );
});
