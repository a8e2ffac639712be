import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

/** Built into the web module's classes, so that the jar of the server carries it. */
export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { outDir: "target/classes/static", emptyOutDir: true, assetsInlineLimit: 0 },
  server: { proxy: { "/api": { target: "http://127.0.0.1:8080", changeOrigin: true } } },
});
