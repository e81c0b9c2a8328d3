import { createTheme } from "@mui/material/styles";

const NEXT = '"Atkinson Hyperlegible Next Variable", "Odd Lead Text Meanwhile", system-ui, sans-serif';
/** Numbers and lead letters: every digit as wide as the next. */
export const MONO =
  '"Atkinson Hyperlegible Mono Variable", "Odd Lead Mono Meanwhile", ui-monospace, monospace';

/** Least size of what is touched with a probe in the other hand, in pixels. */
export const TOUCH = 48;
/** Between a field and the words over and under it, pixels: what the ring of the focus takes. */
export const RING = 6;
/** Height of the words over a field, so that a button beside it stands level. */
export const LABEL_HEIGHT = `calc(1.3125rem + ${RING}px)`;

/** Hairlines over shadows. */
const FLAT = { boxShadow: "none", border: "1.5px solid var(--mui-palette-text-primary)" } as const;

/**
 * Two schemes: Day (paper and ink, for sun) and Attic (dark and dim). Copper marks what to do now, blue-green what is
 * settled, amber and deep red what to look at again and where to stop; each comes with a shape and a word as well.
 */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: "data-scheme" },
  colorSchemes: {
    light: {
      palette: {
        background: { default: "#faf5ea", paper: "#fffdf7" },
        text: { primary: "#1a1613", secondary: "#514840" },
        primary: { main: "#944410", contrastText: "#fffdf7" },
        success: { main: "#0b5a5c", contrastText: "#fffdf7" },
        warning: { main: "#7a4a00", contrastText: "#fffdf7" },
        error: { main: "#8c1414", contrastText: "#fffdf7" },
        divider: "#b9ac99",
      },
    },
    dark: {
      palette: {
        background: { default: "#14110e", paper: "#1c1814" },
        text: { primary: "#ebe1d1", secondary: "#b7aa98" },
        // Hovering a filled button brightens it here: the usual darker shade would lose its words.
        primary: { main: "#e59b5e", dark: "#f0b07a", contrastText: "#14110e" },
        success: { main: "#74c4bd", contrastText: "#14110e" },
        warning: { main: "#e2b350", contrastText: "#14110e" },
        error: { main: "#f2918a", contrastText: "#14110e" },
        divider: "#574d43",
      },
    },
  },
  spacing: 4,
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: NEXT,
    fontSize: 15,
    h1: { fontSize: "1.5rem", fontWeight: 700, lineHeight: 1.25 },
    h2: { fontSize: "1.0625rem", fontWeight: 700, lineHeight: 1.3 },
    h3: { fontSize: "0.9375rem", fontWeight: 700 },
    button: { textTransform: "none", fontWeight: 650 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: "tabular-nums" },
        ":focus-visible": { outline: "3px solid currentColor", outlineOffset: 2 },
        "@media (prefers-reduced-motion: reduce)": {
          "*": { transition: "none !important", animation: "none !important" },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: "outlined" },
      styleOverrides: {
        root: {
          minHeight: 40,
          borderWidth: 1.5,
          "&:focus-visible": { outline: "3px solid", outlineOffset: 2 },
        },
      },
    },
    // A field shows its focus like everything else: MUI takes the outline off the input inside.
    MuiInputBase: {
      styleOverrides: {
        root: { "&:focus-within": { outline: "3px solid currentColor", outlineOffset: 2 } },
      },
    },
    // Cells are plain ones: a table of many rows draws no style for each of them.
    MuiTable: {
      styleOverrides: {
        root: ({ theme }) => ({
          fontSize: "inherit",
          "& th, & td": {
            textAlign: "left",
            verticalAlign: "top",
            padding: theme.spacing(1, 3, 1, 0),
            borderBottom: "1px solid var(--mui-palette-divider)",
          },
          "& thead th": {
            fontSize: "0.875rem",
            fontWeight: 600,
            color: "var(--mui-palette-text-secondary)",
            verticalAlign: "bottom",
          },
        }),
      },
    },
    MuiMenu: { styleOverrides: { paper: FLAT } },
    MuiDialog: { styleOverrides: { paper: FLAT } },
    MuiLink: { defaultProps: { underline: "always" } },
  },
});
