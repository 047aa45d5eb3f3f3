import { defineConfig } from 'vite';

/** The writer of `./lobrik prove`, for Node: with the outbox's own code. */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: 'prove/writer.ts',
    outDir: 'target/prove',
    target: 'node20',
    reportCompressedSize: false,
    rollupOptions: { output: { entryFileNames: 'writer.js' } },
  },
});
