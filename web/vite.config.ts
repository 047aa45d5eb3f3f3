import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // A tablet in use is not reloaded under somebody's hands; a new version waits until it is asked for.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Lobrik',
        short_name: 'Lobrik',
        description: 'Set conduit-bending exercises, measure, judge and follow progress',
        start_url: '/floor',
        display: 'standalone',
        background_color: '#f1f4f4',
        theme_color: '#2b343a',
        icons: [
          { src: '/mark-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/mark-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{html,js,css,svg,png,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
      },
    }),
    // Once for all who fetch them; the server hands them out as they are.
    compression({ algorithms: ['gzip'], include: /assets\/.*\.(js|css|svg)$/ }),
  ],
  // The core, compiled from Java by the module inbrowser.
  resolve: {
    alias: { 'bench-core': fileURLToPath(new URL('../inbrowser/target/module/bench-core.js', import.meta.url)) },
  },
  build: { target: 'es2022', assetsInlineLimit: 0, reportCompressedSize: false },
  server: { proxy: { '/api': process.env.LOBRIK_API ?? 'http://127.0.0.1:8080' } },
  test: {
    // A page is made only for tests of what is drawn: it takes longer than most tests.
    environment: 'node',
    // A world of its own for each file at half of what a process of its own costs.
    pool: 'vmThreads',
    // Against what never ends, not against a slow machine.
    testTimeout: 300_000,
    hookTimeout: 300_000,
    projects: [
      { extends: true, test: { name: 'rules', include: ['src/**/*.test.ts'] } },
      {
        extends: true,
        test: {
          name: 'screens',
          include: ['src/**/*.test.tsx'],
          environment: 'jsdom',
          setupFiles: ['./src/testing/patience.ts'],
        },
      },
    ],
    reporters: ['default', 'junit'],
    outputFile: { junit: './target/vitest.xml' },
  },
});
