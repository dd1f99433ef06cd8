import { useColorScheme } from "@mui/material/styles";

/** Dark or light, as chosen here or else as the system says. */
export function useScheme() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === "system" ? systemMode : mode) === "dark";
  return { dark, toggle: () => setMode(dark ? "light" : "dark") };
}
