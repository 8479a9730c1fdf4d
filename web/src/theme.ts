import { createTheme } from "@mui/material/styles";
import { Going } from "./ui/Going";

declare module "@mui/material/styles" {
  interface Palette {
    ink: Ink;
  }
  interface PaletteOptions {
    ink?: Ink;
  }
}

/** Roles of the drawings; the same names in light and dark. */
interface Ink {
  line: string;
  soft: string;
  rule: string;
  rubber: string;
  sheet: string;
}

const text = '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif';
const title = '"Literata Variable", Georgia, serif';

/** The look of the product: plaster and ink, spruce for what to do, clay for what is wrong. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: "media" },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: "#2F5D57", contrastText: "#FBFAF6" },
        error: { main: "#A84A22" },
        warning: { main: "#A84A22" },
        background: { default: "#F2EFE8", paper: "#FBFAF6" },
        text: { primary: "#22313A", secondary: "#55646C" },
        divider: "#D8D3C7",
        ink: {
          line: "#22313A",
          soft: "#55646C",
          rule: "#D8D3C7",
          rubber: "#E4DFD3",
          sheet: "#FBFAF6",
        },
      },
    },
    dark: {
      palette: {
        primary: { main: "#8FC4B8", contrastText: "#14201F" },
        error: { main: "#F0936A" },
        warning: { main: "#F0936A" },
        background: { default: "#141C21", paper: "#1C272D" },
        text: { primary: "#EAE6DC", secondary: "#A9B4B8" },
        divider: "#36444B",
        ink: {
          line: "#EAE6DC",
          soft: "#A9B4B8",
          rule: "#36444B",
          rubber: "#34414A",
          sheet: "#1C272D",
        },
      },
    },
  },
  shape: { borderRadius: 10 },
  typography: {
    fontFamily: text,
    fontSize: 15,
    h1: { fontFamily: title, fontWeight: 600, fontSize: "1.85rem", lineHeight: 1.3 },
    h2: { fontFamily: title, fontWeight: 500, fontSize: "1.2rem", lineHeight: 1.3 },
    h3: { fontFamily: title, fontWeight: 500, fontSize: "1.05rem", lineHeight: 1.3 },
    button: { textTransform: "none", fontWeight: 600, fontSize: "1rem" },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: "tabular-nums" },
        "@media (prefers-reduced-motion: reduce)": {
          "*": { transition: "none !important", animation: "none !important" },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true, LinkComponent: Going } },
    MuiLink: { defaultProps: { component: Going } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { minHeight: 40, borderRadius: 10 } },
    },
    // A label that rests on its frame is readable beside any unit.
    MuiInputLabel: { defaultProps: { shrink: true } },
    MuiTextField: { defaultProps: { size: "small", variant: "outlined" } },
    MuiSelect: { defaultProps: { size: "small" } },
    MuiOutlinedInput: {
      defaultProps: { notched: true },
      styleOverrides: { root: { background: "transparent" } },
    },
    MuiPaper: { styleOverrides: { root: { backgroundImage: "none" } } },
  },
});
