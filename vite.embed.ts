import { defineConfig } from 'vite';

/** Goods of the shop for pages of other sites: one small script that needs nothing else of the shop. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: 'dist/embed',
    assetsDir: '.',
    emptyOutDir: true,
    target: 'es2022',
    manifest: 'manifest.json',
    modulePreload: false,
    rollupOptions: {
      input: ['shop/embed/embed.tsx', 'shop/embed/sample-host.ts'],
      preserveEntrySignatures: 'strict',
      output: { entryFileNames: '[name]-[hash].js', chunkFileNames: '[name]-[hash].js' },
    },
  },
  base: '/embed/',
});
