import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react()],
  build: {
    outDir: "dist",
    emptyOutDir: true,
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              // What every screen needs stands in one file: the parts are smaller together.
              name: "base",
              test: /node_modules\/(react|react-dom|react-router|scheduler|@emotion|@tanstack\/(react-query|query-core)|openapi-fetch|@mui\/material\/(styles|Box|Button|ButtonBase))\//,
            },
          ],
        },
      },
    },
  },
  // For work on the screens: npm run dev beside a running server, which lets in only what comes from its own address.
  server: { proxy: { "/api": { target: "http://127.0.0.1:4870", changeOrigin: false } } },
});
