import { CacheProvider } from "@emotion/react";
import { ThemeProvider } from "@mui/material/styles";
import type { ReactNode } from "react";
import { Outlet } from "react-router";
import { schemeStorage } from "~/components/scheme";
import { pageStyleCache } from "~/theme/style-cache";
import { theme } from "~/theme/theme";

/** On the server the answer brings its own cache, from which it writes the page's styles. */
const Styles = ({ children }: { children: ReactNode }) =>
  typeof document === "undefined" ? (
    children
  ) : (
    <CacheProvider value={pageStyleCache()}>{children}</CacheProvider>
  );

/** Every page that is made of the interface library: all but the stand, which does without it. */
export default function Themed() {
  return (
    <Styles>
      <ThemeProvider theme={theme} defaultMode="system" storageManager={schemeStorage}>
        <Outlet />
      </ThemeProvider>
    </Styles>
  );
}
