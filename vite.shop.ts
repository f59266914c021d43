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
    rollupOptions: { input: 'shop/client.tsx' },
  },
  base: '/assets/',
});
