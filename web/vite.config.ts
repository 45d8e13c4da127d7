import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';

const apiPort = process.env['VENDU_API_PORT'] ?? '4601';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { conditions: ['vendu-source', ...defaultClientConditions] },
  worker: { format: 'es' },
  server: {
    host: '127.0.0.1',
    // Pages of cards are the server's.
    proxy: Object.fromEntries(
      ['/api', '/card', '^/r/.'].map((path) => [path, `http://127.0.0.1:${apiPort}`]),
    ),
  },
  build: { chunkSizeWarningLimit: 700 },
});
