import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import subsetFont from 'subset-font';
import { defineConfig, type Plugin } from 'vite';

/** The letters that the first file of each family is asked for, as its style sheet says: Latin, signs, currencies. */
const LATIN =
  'U+0000-00FF, U+0131, U+0152-0153, U+02BB-02BC, U+02C6, U+02DA, U+02DC, U+2000-206F, U+20AC, U+2122, U+2191, U+2193, U+2212, U+2215';

function lettersOf(ranges: string): string {
  return ranges
    .split(',')
    .map((range) => {
      const [from, to = from] = range
        .replace('U+', '')
        .trim()
        .split('-')
        .map((code) => parseInt(code, 16));
      return String.fromCodePoint(...Array.from({ length: to! - from! + 1 }, (_, i) => from! + i));
    })
    .join('');
}

/** Families that go no further than bold. */
const UP_TO_BOLD = /instrument-sans|lora|space-grotesk/;
/** Headings are drawn from medium to heavy, and the usual family of headings is for nothing else; of the others a shop may draw all weights from the lightest that is read. */
const axesOf = (file: string) => ({
  wght: { min: /bricolage-grotesque/.test(file) ? 500 : 400, max: UP_TO_BOLD.test(file) ? 700 : 800 },
});

/** Leaves out of the letters that every page loads what the shop never draws. */
const smallFonts: Plugin = {
  name: 'small-fonts',
  async generateBundle(_options, bundle) {
    for (const file of Object.values(bundle)) {
      if (file.type !== 'asset' || !/-latin-wght-normal/.test(file.fileName)) continue;
      file.source = await subsetFont(Buffer.from(file.source), lettersOf(LATIN), {
        targetFormat: 'woff2',
        variationAxes: axesOf(file.fileName),
      });
    }
  },
};

export default defineConfig({
  plugins: [react(), tailwindcss(), smallFonts],
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
              test: /node_modules\/(react|react-dom|scheduler)\/|lucide-react\/.*\/(createLucideIcon|Icon|shared)|preload-helper|\/shop\/(ui|frame)\/|\/shop\/(back|base|parts|load-parts|foreseen|fetch-data|data|seen)\.|\/core\/shared\//,
            },
          ],
        },
      },
    },
  },
  base: '/assets/',
});
