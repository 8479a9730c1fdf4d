import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/literata";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { App } from "./App";
import { theme } from "./theme";
import { UnitsProvider } from "./units/UnitsProvider";

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <UnitsProvider>
          <App />
        </UnitsProvider>
      </ThemeProvider>
    </StrictMode>,
  );
}
