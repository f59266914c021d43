import { cpSync } from 'node:fs';
import { defineConfig } from 'vite';

export default defineConfig({
  publicDir: false,
  // React chooses between its checking and its quick form by NODE_ENV: built in, the quick one is used without it.
  ssr: { noExternal: ['lucide-react', 'react', 'react-dom', 'react-router'] },
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      // Icons say that they are for the browser too; they are.
      onwarn: (warning, tell) => warning.code !== 'MODULE_LEVEL_DIRECTIVE' && tell(warning),
      input: {
        main: 'server/app/main.ts',
        seed: 'demo/seed.ts',
        backup: 'server/app/backup.ts',
        'job-worker': 'server/jobs/worker.ts',
        'backup-thread': 'server/folder/backup-thread.ts',
        'row-reader': 'server/store/row-reader.mjs',
        'draw-svg': 'server/media/draw-svg.mjs',
        'draw-card': 'server/media/draw-card.mjs',
      },
      // Chunks stand beside the entries, since the migrations are found relative to the code.
      output: { chunkFileNames: '[name]-[hash].js' },
    },
  },
  plugins: [
    {
      name: 'copy-migrations',
      closeBundle: () => cpSync('server/database/migrations', 'dist/server/migrations', { recursive: true }),
    },
  ],
});
