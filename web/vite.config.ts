import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import type { Plugin } from "vite";
import { VitePWA } from "vite-plugin-pwa";
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

/**
 * The shell and its faces are kept for good, the day, the open brews with their plans and what lists need as they were last. An
 * answer that is kept says so, and has no date, so that nobody takes it for the present.
 */
const installable = VitePWA({
  registerType: "prompt",
  injectRegister: null,
  includeAssets: ["mark.svg", "first.js", "bell.js", "icon-192.png", "icon-512.png"],
  manifest: {
    name: "Ember Cup",
    short_name: "Ember Cup",
    description: "Herbal teas and decoctions, brewed to the minute.",
    start_url: "/",
    display: "standalone",
    background_color: "#120F0D",
    theme_color: "#120F0D",
    icons: [
      { src: "/icon-192.png", sizes: "192x192", type: "image/png" },
      { src: "/icon-512.png", sizes: "512x512", type: "image/png" },
      { src: "/icon-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
    ],
  },
  workbox: {
    globPatterns: ["**/*.{js,css,html,svg,woff2,png}"],
    // Fetched when somebody shares a sheet, and kept from then on by the browser.
    globIgnores: ["**/pdf-*.js"],
    importScripts: ["/bell.js"],
    navigateFallback: "/index.html",
    navigateFallbackDenylist: [/^\/(api|actuator|v3)\b/, /\.[a-z0-9]+$/],
    cleanupOutdatedCaches: true,
    runtimeCaching: [
      {
        urlPattern: ({ url, request, sameOrigin }) =>
          sameOrigin &&
          request.method === "GET" &&
          /^\/api\/(day|kitchen|people|recipes|sources|herbs|shelf|notebook|brews\/[0-9a-f-]{36})(\/[a-z0-9-]+)?$/.test(
            url.pathname,
          ) &&
          !/\/(stream|photo|workings|file)$/.test(url.pathname),
        handler: "NetworkFirst",
        options: {
          cacheName: "ember-kept",
          expiration: { maxEntries: 200 },
          cacheableResponse: { statuses: [200] },
          plugins: [
            {
              // The hours of the day strip change; the newest day that is kept is the one to show.
              cacheKeyWillBeUsed: async ({ request }) => {
                const url = new URL(request.url);
                return url.pathname === "/api/day" ? url.origin + url.pathname : request;
              },
              cachedResponseWillBeUsed: async ({ cachedResponse }) => {
                if (!cachedResponse) return null;
                const headers = new Headers(cachedResponse.headers);
                headers.delete("Date");
                headers.set("X-Ember-Kept", "1");
                return new Response(await cachedResponse.blob(), { status: 200, headers });
              },
              // A server that is in trouble is as good as none.
              fetchDidSucceed: async ({ response }) => {
                if (response.status >= 502 && response.status <= 504) throw new Error("away");
                return response;
              },
            },
          ],
        },
      },
    ],
  },
});

/** Built into the web module's classes, so that the jar of the server carries it. */
export default defineConfig({
  plugins: [react(), tailwindcss(), preloadFaces, installable],
  build: { outDir: "target/classes/static", emptyOutDir: true, assetsInlineLimit: 0 },
  test: { include: ["test/**/*.test.ts"] },
  server: { proxy: { "/api": { target: "http://127.0.0.1:8080", changeOrigin: true } } },
});
