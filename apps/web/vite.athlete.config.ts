import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** The athlete's application beside the coach's: a build of its own, so that no chunk of it has anything of the coach's in it. tools/build.mjs adds its service worker. */
export default defineConfig({
  plugins: [react(), tailwindcss()],
  publicDir: false,
  build: { target: 'es2022', emptyOutDir: false, rolldownOptions: { input: 'athlete.html' } },
});
