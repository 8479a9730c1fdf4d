import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/literata";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { App } from "./App";
import { queries } from "./api/queries";
import { theme } from "./theme";
import { UnitsProvider } from "./units/UnitsProvider";

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <QueryClientProvider client={queries}>
          <UnitsProvider>
            <App />
          </UnitsProvider>
        </QueryClientProvider>
      </ThemeProvider>
    </StrictMode>,
  );
}
