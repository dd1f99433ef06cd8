import { createTheme, type PaletteOptions } from "@mui/material/styles";
import { TOKENS } from "./tokens";

const FACE = '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif';

function palette(scheme: keyof typeof TOKENS): PaletteOptions {
  const t = TOKENS[scheme];
  return {
    primary: { main: t.ink, contrastText: t.paper },
    secondary: { main: t.verdigris, contrastText: t.paper },
    error: { main: t.madder, contrastText: t.paper },
    warning: { main: t.rosin, contrastText: t.paper },
    success: { main: t.verdigris, contrastText: t.paper },
    background: { default: t.paper, paper: t.paper },
    text: { primary: t.ink, secondary: t["ink-soft"] },
    divider: t.line,
  };
}

/** MUI in the materials of Fidus. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: "data-scheme" },
  colorSchemes: { light: { palette: palette("light") }, dark: { palette: palette("dark") } },
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: FACE,
    h1: { fontSize: "1.875rem", fontWeight: 650, lineHeight: 1.2, letterSpacing: "-0.01em" },
    h2: { fontSize: "1.25rem", fontWeight: 650, lineHeight: 1.3 },
    h3: { fontSize: "1rem", fontWeight: 650, lineHeight: 1.4 },
    body1: { fontSize: "1rem", lineHeight: 1.5 },
    body2: { fontSize: "0.9375rem", lineHeight: 1.5 },
    button: { textTransform: "none", fontWeight: 600, fontSize: "1rem" },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 44, paddingInline: 18 },
        sizeSmall: { fontSize: "0.9375rem", paddingInline: 14 },
      },
    },
    MuiIconButton: { styleOverrides: { root: { minWidth: 44, minHeight: 44 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          minHeight: 40,
          color: "var(--ink-soft)",
          borderColor: "var(--line-strong)",
          textTransform: "none",
          "&.Mui-selected, &.Mui-selected:hover": {
            color: "var(--paper)",
            backgroundColor: "var(--ink)",
          },
        },
      },
    },
    MuiTextField: { defaultProps: { variant: "outlined", fullWidth: true } },
    MuiFormHelperText: { styleOverrides: { root: { marginInline: 2, fontSize: "0.875rem" } } },
    MuiDialog: { styleOverrides: { paper: { backgroundImage: "none" } } },
  },
});
