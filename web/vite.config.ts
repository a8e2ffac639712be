import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import type { Plugin } from "vite";
import { defineConfig } from "vitest/config";

/** Every page needs these faces; the browser is told before it has read the styles. */
const FACES =
  /atkinson-hyperlegible-next-latin-(400|600)-normal.*woff2$|bricolage-grotesque-latin-wdth.*woff2$/;

const preloadFaces: Plugin = {
  name: "preload-faces",
  transformIndexHtml: {
    order: "post",
    handler: (_html, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => FACES.test(file))
        .map((file) => ({
          tag: "link",
          attrs: { rel: "preload", as: "font", type: "font/woff2", crossorigin: "", href: `/${file}` },
          injectTo: "head",
        })),
  },
};

/** Built into the web module's classes, so that the jar of the server carries it. */
export default defineConfig({
  plugins: [react(), tailwindcss(), preloadFaces],
  build: { outDir: "target/classes/static", emptyOutDir: true, assetsInlineLimit: 0 },
  test: { include: ["test/**/*.test.ts"] },
  server: { proxy: { "/api": { target: "http://127.0.0.1:8080", changeOrigin: true } } },
});
