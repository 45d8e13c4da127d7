import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig, type Plugin } from 'vite';

const apiPort = process.env['VENDU_API_PORT'] ?? '4601';

/**
 * Sonner writes its style into the page from its program, which the policy of the page forbids. Its file of the same style
 * is imported where it is used.
 */
const sonnerStyleAsFile: Plugin = {
  name: 'sonner-style-as-file',
  apply: 'build',
  transform(code, id) {
    if (!/\/sonner\/dist\/.*js$/.test(id)) return null;
    const without = code.replace(/^__insertCSS\(".*"\);?$/m, '');
    if (without === code)
      this.error('sonner writes its style in another way now: look at the policy of the page');
    return { code: without, map: null };
  },
};

export default defineConfig({
  plugins: [react(), tailwindcss(), sonnerStyleAsFile],
  resolve: { conditions: ['vendu-source', ...defaultClientConditions] },
  worker: { format: 'es' },
  server: {
    host: '127.0.0.1',
    // Pages of cards are the server's.
    proxy: Object.fromEntries(
      ['/api', '/card', '^/r/.'].map((path) => [path, `http://127.0.0.1:${apiPort}`]),
    ),
  },
  build: {
    chunkSizeWarningLimit: 1_500,
    rolldownOptions: {
      output: {
        // What every page needs, in one piece: a file for each part that several pages share makes dozens of requests.
        codeSplitting: {
          groups: [{ name: 'start', tags: ['$initial'] }],
        },
      },
    },
  },
});
