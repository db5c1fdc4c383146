import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** Needed by every screen. */
const everywhere =
  /node_modules\/(?:react|react-dom|scheduler|react-router|react-error-boundary|@tanstack|sonner|clsx|radix-ui|@radix-ui|@floating-ui|lucide-react|date-fns|cmdk|aria-hidden|react-remove-scroll|use-[a-z-]+|get-nonce|tslib|cookie|set-cookie-parser)\//;

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        // few requests a screen: what everybody needs, the core, what screens share, and the screen
        codeSplitting: {
          groups: [
            { name: 'vendor', test: everywhere, priority: 30 },
            {
              name: 'editor',
              test: /@codemirror|codemirror|@lezer|crelt|style-mod|w3c-keyname/,
              priority: 28,
            },
            {
              name: 'chart',
              test: /recharts|victory-vendor|node_modules\/d3|@reduxjs|redux|immer|reselect|decimal\.js|es-toolkit|eventemitter3/,
              priority: 27,
            },
            { name: 'zod', test: /node_modules\/zod\//, priority: 25 },
            { name: 'core', test: /packages\/core\/src\//, priority: 20 },
            // the first screen needs these and nothing of the core
            {
              name: 'shell',
              test: /apps\/web\/src\/(?:ui\/(?!glyph|mark|scores|csv|form-field)|api\/(?!room|rules|athlete-page|house-words)|shell\/(?:frame|days|screen|not-found))/,
              priority: 15,
            },
            // what several screens share, but for what only some of them are large by
            {
              name: 'work',
              test: /apps\/web\/src\/(?!write\/(?:workout-editor|completions|scrub-figures)|library\/(?:portable|export-menu)|ui\/(?:csv|form-field)|people\/people-csv)/,
              minShareCount: 2,
              priority: 10,
            },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
});
