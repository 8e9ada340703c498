import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  // Nothing is put into the page as a data: address, which the server's content policy refuses.
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 1200 },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4140' } },
});
