import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { families, type Family } from '../../core/model/look-choices';
import { catalogFiles } from '../../shop/catalogs';
import { partFiles, type PartName } from '../../shop/parts';
import { noAssets, type ShopAssets } from '../../shop/render';

interface ManifestEntry {
  file: string;
  css?: string[];
  imports?: string[];
}
type Manifest = Readonly<Record<string, ManifestEntry | undefined>>;

const ENTRY = 'shop/client.tsx';
/** The letters of a family that most languages need; others are loaded where a page has them. */
const lettersFile = (family: Family) =>
  `node_modules/@fontsource-variable/${family}/files/${family}-latin-wght-normal.woff2`;

/** The scripts of an entry and of all that it imports, each once. */
function scriptsOf(manifest: Manifest, key: string, met = new Set<string>()): string[] {
  const entry = manifest[key];
  if (!entry || met.has(key)) return [];
  met.add(key);
  return [`/assets/${entry.file}`, ...(entry.imports ?? []).flatMap((each) => scriptsOf(manifest, each, met))];
}

/** What the built storefront loads. `dist`: folder of what was built; there is nothing to load where nothing was. */
export function shopAssets(dist: string): ShopAssets {
  const path = join(dist, 'assets', 'manifest.json');
  if (!existsSync(path)) return noAssets;
  const manifest = JSON.parse(readFileSync(path, 'utf8')) as Manifest;
  const entry = manifest[ENTRY];
  if (!entry) return noAssets;
  const [own, ...shared] = scriptsOf(manifest, ENTRY);
  const parts = Object.entries(partFiles).map(([name, file]): [PartName, string[]] => [
    name as PartName,
    scriptsOf(manifest, file).filter((script) => script !== own && !shared.includes(script)),
  ]);
  return {
    scripts: [own!],
    shared,
    styles: (entry.css ?? []).map((file) => `/assets/${file}`),
    parts: Object.fromEntries(parts),
    catalogs: Object.fromEntries(
      Object.entries(catalogFiles).map(([key, file]) => [
        key,
        scriptsOf(manifest, file).filter((script) => script !== own && !shared.includes(script)),
      ]),
    ),
    families: Object.fromEntries(
      (Object.keys(families) as Family[]).flatMap((family) => {
        const [style, letters] = [manifest[`shop/fonts/${family}.css`], manifest[lettersFile(family)]];
        return style && letters
          ? [[family, { style: `/assets/${style.file}`, letters: `/assets/${letters.file}` }]]
          : [];
      }),
    ),
  };
}
