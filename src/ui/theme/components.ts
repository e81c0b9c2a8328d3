import type { Components, CssVarsTheme, Theme } from "@mui/material/styles";
import { MONO } from "./faces";
import { RAIL, RING, TOUCH } from "./measures";

/** Hairlines over shadows. */
const FLAT = { boxShadow: "none", border: "1.5px solid var(--mui-palette-text-primary)" } as const;
/** Where the keyboard is: the same on every kind of control. */
const FOCUSED = { outline: "3px solid currentColor", outlineOffset: 2 } as const;

/** MUI's components, each styled once: what a screen adds is where they stand. */
export const COMPONENTS: Components<Omit<Theme, "components" | "palette"> & CssVarsTheme> = {
  MuiCssBaseline: {
    styleOverrides: {
      // For sheets of static classes, which cannot ask the theme.
      ":root": {
        "--odd-mono": MONO,
        "--odd-touch": `${TOUCH}px`,
        "--odd-ring": `${RING}px`,
        "--odd-rail": `${RAIL}px`,
      },
      body: { fontVariantNumeric: "tabular-nums" },
      ":focus-visible": FOCUSED,
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
        "&:focus-visible": FOCUSED,
      },
    },
  },
  // A field shows its focus like everything else: MUI takes the outline off the input inside.
  MuiInputBase: {
    styleOverrides: {
      root: ({ theme }) => ({
        minHeight: TOUCH,
        paddingInline: theme.spacing(2),
        backgroundColor: theme.vars.palette.background.paper,
        border: `1px solid ${theme.vars.palette.divider}`,
        // Over what a screen says of the border: a fault is seen on every field.
        "&&.Mui-error": { borderColor: theme.vars.palette.warning.main },
        "&:focus-within": FOCUSED,
      }),
    },
  },
  // The words over a field stand over it, whether something is typed there or not.
  MuiFormLabel: {
    styleOverrides: {
      root: ({ theme }) => ({
        display: "block",
        fontSize: "0.875rem",
        lineHeight: 1.5,
        color: theme.vars.palette.text.secondary,
        marginBottom: RING,
        "&.Mui-focused, &.Mui-error": { color: theme.vars.palette.text.secondary },
      }),
    },
  },
  MuiFormHelperText: {
    styleOverrides: {
      root: ({ theme }) => ({
        fontSize: "0.875rem",
        lineHeight: 1.35,
        fontWeight: 600,
        margin: `${RING}px 0 0`,
        "&.Mui-error": { color: theme.vars.palette.warning.main },
        "&:empty": { margin: 0 },
      }),
    },
  },
  MuiNativeSelect: {
    styleOverrides: {
      // All of the field opens the list, not its middle alone.
      select: { "&&": { height: "auto", minHeight: TOUCH - 2, paddingBlock: 0 } },
      icon: { color: "inherit", right: 4 },
    },
  },
  MuiCheckbox: {
    defaultProps: { color: "success" },
    styleOverrides: {
      root: { padding: 0, width: 26, height: 26, "&.Mui-focusVisible": FOCUSED, "& svg": { fontSize: 32 } },
    },
  },
  MuiFormControlLabel: { defaultProps: { disableTypography: true } },
  MuiAccordion: {
    defaultProps: { disableGutters: true, square: true, elevation: 0 },
    styleOverrides: {
      root: ({ theme }) => ({
        backgroundColor: "transparent",
        borderTop: `1px solid ${theme.vars.palette.divider}`,
        "&::before": { display: "none" },
      }),
    },
  },
  MuiAccordionSummary: {
    styleOverrides: {
      root: {
        font: "inherit",
        minHeight: TOUCH,
        padding: "4px 0",
        gap: 12,
        "&.Mui-focusVisible": { backgroundColor: "transparent", ...FOCUSED },
      },
      content: { alignItems: "center", gap: 12, margin: 0 },
      expandIconWrapper: { color: "inherit", transform: "none !important" },
    },
  },
  MuiAccordionDetails: { styleOverrides: { root: { padding: "0 0 16px" } } },
  // With a bar at its side where it heads something, without where it is one sentence: MUI's picture says no more.
  MuiAlert: {
    defaultProps: { icon: false },
    styleOverrides: {
      root: {
        fontSize: "inherit",
        lineHeight: "inherit",
        fontWeight: "inherit",
        backgroundColor: "transparent",
        padding: 0,
      },
      message: { padding: 0, overflow: "visible", width: "100%" },
    },
    variants: [
      {
        props: { variant: "outlined" },
        style: ({ theme }) => ({
          color: "inherit",
          border: 0,
          borderLeft: `4px solid ${theme.vars.palette.warning.main}`,
          padding: theme.spacing(1, 0, 1, 3),
        }),
      },
      {
        props: { variant: "outlined", severity: "error" },
        style: ({ theme }) => ({ borderLeftColor: theme.vars.palette.error.main }),
      },
      {
        props: { variant: "standard" },
        style: ({ theme }) => ({ color: theme.vars.palette.warning.main, fontWeight: 600 }),
      },
    ],
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
};
