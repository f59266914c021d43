import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  publicDir: false,
  build: {
    outDir: 'dist/assets',
    assetsDir: '.',
    emptyOutDir: true,
    target: 'es2022',
    manifest: 'manifest.json',
    rollupOptions: {
      input: 'shop/client.tsx',
      output: {
        // What nearly every page needs is one script, so that a page loads two: that one and its own part.
        codeSplitting: {
          groups: [
            {
              name: 'shared',
              test: /node_modules\/(react|react-dom|scheduler)\/|lucide-react\/.*\/(createLucideIcon|Icon|shared)|\/shop\/(ui|frame)\/|\/shop\/(back|base|parts|fetch-data|data)\.|\/core\/shared\//,
            },
          ],
        },
      },
    },
  },
  base: '/assets/',
});
