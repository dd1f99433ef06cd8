import "@fontsource-variable/atkinson-hyperlegible-next/index.css";
import "~/theme/page.css";
import { useEffect, type ReactNode } from "react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration, useRouteLoaderData } from "react-router";
import { Trouble } from "~/components/trouble";
import { LocaleProvider } from "~/components/locale";
import { tellWhatWasTyped } from "~/components/typed-before";
import { nonceContext } from "~/server/context";
import { preferredLocale } from "~/server/locale";
import { followsTheScheme, SCHEME_SCRIPT } from "~/components/scheme";
import { TOKEN_STYLES } from "~/theme/tokens";
import type { Route } from "./+types/root";

export const loader = ({ context, request }: Route.LoaderArgs) => ({
  nonce: context.get(nonceContext),
  locale: preferredLocale(request.headers.get("accept-language")),
});

export const shouldRevalidate = () => false;

export function Layout({ children }: { children: ReactNode }) {
  const data = useRouteLoaderData<typeof loader>("root");
  // Browsers hide a nonce once it is applied; what the server sent is then no longer in the page.
  const nonce = typeof document === "undefined" ? data?.nonce : undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta property="csp-nonce" nonce={nonce} suppressHydrationWarning />
        <link rel="icon" href="/icon.svg" type="image/svg+xml" />
        <Meta />
        {/* Laid once more with the page for errors: then it needs the nonce of its own. */}
        <style nonce={data?.nonce} suppressHydrationWarning>
          {TOKEN_STYLES}
        </style>
        <Links nonce={nonce} />
      </head>
      <body>
        <script
          nonce={nonce}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: SCHEME_SCRIPT }}
        />
        <LocaleProvider locale={data?.locale ?? "en"}>{children}</LocaleProvider>
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export default function App() {
  useEffect(() => tellWhatWasTyped(document), []);
  useEffect(followsTheScheme, []);
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Trouble error={error} />;
}
