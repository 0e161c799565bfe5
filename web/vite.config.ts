import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  server: { proxy: Object.fromEntries(['/api', '/p/', '/healthz', '/files', '/drawings'].map((p) => [p, { target: 'http://127.0.0.1:8080', changeOrigin: false }])) },
  build: { emptyOutDir: false, assetsInlineLimit: 0, chunkSizeWarningLimit: 700 },
  test: { environment: 'jsdom', globals: true, setupFiles: 'src/test/setup.ts', css: false, isolate: false, testTimeout: 90_000, hookTimeout: 90_000 },
});
