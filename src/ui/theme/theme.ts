import { createTheme, shouldSkipGeneratingVar } from "@mui/material/styles";
import { COMPONENTS } from "./components";
import { TEXT } from "./faces";

/** Figures of parts that no page has: half of what every page would bring of the theme. */
const UNASKED = {
  palette:
    /^(AppBar|Avatar|Chip|FilledInput|Skeleton|Slider|SnackbarContent|SpeedDialAction|StepCon\w+|Switch|Tooltip)$/,
  // Hairlines stand for shadows, but where a button or a list lies over the page.
  shadows: /^(?!(?:0|1|2|4|6|8|24)$)/,
  overlays: /^(?!(?:0|1|8|24)$)/,
  zIndex: /^(?!modal$)/,
};

const isUnasked = ([group = "", name = ""]: readonly string[]) =>
  group in UNASKED && UNASKED[group as keyof typeof UNASKED].test(name);

/**
 * Two schemes: Day (paper and ink, for sun) and Attic (dark and dim). Copper marks what to do now, blue-green what is
 * settled, amber and deep red what to look at again and where to stop; each comes with a shape and a word as well.
 */
export const theme = createTheme({
  cssVariables: {
    colorSchemeSelector: "data-scheme",
    shouldSkipGeneratingVar: (path) => isUnasked(path) || shouldSkipGeneratingVar(path),
  },
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
    fontFamily: TEXT,
    fontSize: 15,
    h1: { fontSize: "1.5rem", fontWeight: 700, lineHeight: 1.25 },
    h2: { fontSize: "1.0625rem", fontWeight: 700, lineHeight: 1.3 },
    h3: { fontSize: "0.9375rem", fontWeight: 700 },
    button: { textTransform: "none", fontWeight: 650 },
  },
  components: COMPONENTS,
});
