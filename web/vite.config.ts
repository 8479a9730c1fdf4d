import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react()],
  build: { outDir: "dist", emptyOutDir: true },
  // For work on the screens: npm run dev beside a running server.
  server: { proxy: { "/api": "http://127.0.0.1:4870" } },
});
