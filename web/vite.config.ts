import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { target: 'es2022', assetsInlineLimit: 0, reportCompressedSize: false },
  server: { proxy: { '/api': process.env.LOBRIK_API ?? 'http://127.0.0.1:8080' } },
  test: {
    environment: 'jsdom',
    reporters: ['default', 'junit'],
    outputFile: { junit: './target/vitest.xml' },
  },
});
