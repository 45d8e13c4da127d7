import tailwindcss from '@tailwindcss/vite';
import { defaultClientConditions, defineConfig } from 'vite';

/** What the card's page brings along: its style, its small program, and what keeps it at hand without a network. */
export default defineConfig({
  plugins: [tailwindcss()],
  base: '/card/',
  resolve: { conditions: ['vendu-source', ...defaultClientConditions] },
  build: {
    outDir: 'dist/client',
    manifest: 'manifest.json',
    modulePreload: { polyfill: false },
    rolldownOptions: {
      input: { card: 'client/main.ts', sw: 'client/sw.ts' },
      output: {
        // A worker is known by its address.
        entryFileNames: ({ name }) => (name === 'sw' ? 'sw.js' : '[name]-[hash].js'),
        assetFileNames: '[name]-[hash][extname]',
        chunkFileNames: '[name]-[hash].js',
      },
    },
  },
});
