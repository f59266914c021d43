import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const server = `http://127.0.0.1:${process.env.PORT ?? 4600}`;

export default defineConfig({
  root: 'desk',
  base: '/desk/',
  plugins: [react(), tailwindcss()],
  build: {
    outDir: '../dist/desk',
    emptyOutDir: true,
    assetsDir: 'files',
    target: 'es2022',
    rolldownOptions: {
      output: {
        // Where schemas are made, Zod must have been told already not to make code: what tells it comes in its own file.
        // The calls that every desk begins with come as one piece, whatever else asks for parts of them later.
        codeSplitting: {
          groups: [
            { name: 'zod', test: /node_modules\/zod\/|no-eval/, priority: 2 },
            { name: 'contract', test: /\/contract\/index\.ts$/, priority: 1 },
          ],
        },
      },
    },
  },
  server: {
    port: 5173,
    proxy: Object.fromEntries(['/api', '/shop-api', '/preview', '/media', '/assets'].map((path) => [path, server])),
  },
});
