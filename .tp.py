def sub(p,*pairs):
    s=open(p).read()
    for a,b in pairs:
        assert a in s,(p,a)
        s=s.replace(a,b,1)
    open(p,'w').write(s)
sub('demo/storefront.ts',("interface Ids {","""/** What was drawn for the pages: three pictures from the beach, and a film with the words over it. */
export interface PageMedia {
  beach: StoredMedia[];
  film: string;
  captions: string;
}

interface Ids {"""),
("export function putStorefront(db: Db, home: Page, ids: Ids): void {","export function putStorefront(db: Db, home: Page, ids: Ids, media: PageMedia): void {"),
("""      section('pictures', {
        title: '',
        pictures: [],
        hidden: true,
        label: 'Pictures from the beach',
      }),
""","""      section('pictures', {
        title: 'From the beach',
        pictures: media.beach.map((picture, i) => ({ picture: placed(picture, beachWords[i]!), caption: beachWords[i]!, to: null })),
      }),
"""),
("const slide = (","""const beachWords = ['Up at seven, before the bathers', 'The dune behind the shop', 'Last flight of the day'];

const placed = ({ media, width, height }: StoredMedia, alt: string): PlacedPicture => ({
  media,
  width,
  height,
  alt,
  focus: { x: 0.5, y: 0.5 },
});

const slide = ("""),
("import type { Slide }","import type { PlacedPicture } from '../core/model/sections/picture';\nimport type { StoredMedia } from '../server/media/picture-store';\nimport type { Slide }"))
s=open('demo/storefront.ts').read()
i=s.index("page('Beach week'"); j=s.index("section('strip'",i)
s=s[:j]+"""section('film', {
        title: 'How it goes up',
        film: media.film,
        captions: media.captions,
        caption: 'Back to the wind, arm up, and let go.',
        width: 'text',
      }),
      """+s[j:]
open('demo/storefront.ts','w').write(s)
sub('demo/seed-demo.ts',("""      product: (title) => productIds.get(title)!,
    });
""","""      product: (title) => productIds.get(title)!,
    }, pageMedia);
"""),("  const files = await keepFiles(catalog);\n","  const files = await keepFiles(catalog);\n  const pageMedia = await keepPageMedia(catalog);\n"),
("/** Puts the files of all products","""/** Scenes of a day at the beach, and the film of a kite that climbs. */
async function keepPageMedia(catalog: Catalog): Promise<PageMedia> {
  const scenes: [SceneName, ShapeName, string][] = [
    ['sea', 'wideDelta', 'Ember'],
    ['dune', 'diamond', 'Fjord'],
    ['dusk', 'delta', 'Ember'],
  ];
  const beach = await Promise.all(
    scenes.map(async ([scene, shape, colour], i) => {
      const svg = drawPicture({ shape, scene, palette: paletteOf(colour), width: 1200, height: 900, seed: 70 + i, scale: 0.55 });
      const png = await sharp(Buffer.from(svg)).png().toBuffer();
      return storePicture(catalog.db, catalog.mediaFolder, png, `${scene}.png`, catalog.clock().toISOString());
    }),
  );
  const arriving = arrivingFolder(filmsFolder(catalog.folder));
  const kept = async (content: Buffer) => {
    const arrived = join(arriving, newId('file'));
    await writeFile(arrived, content);
    return (await keepFilm(catalog.folder, arrived))!;
  };
  return {
    beach,
    film: await kept(await readFile(new URL('films/first-climb.webm', import.meta.url))),
    captions: await kept(Buffer.from(CAPTIONS)),
  };
}

const CAPTIONS = `WEBVTT

00:00.000 --> 00:03.000
[Wind] Arm up, back to the wind.

00:03.000 --> 00:07.000
Let the line run. Up it goes.
`;

/** Puts the files of all products"""),
("import { putStorefront } from './storefront';","import { putStorefront, type PageMedia } from './storefront';\nimport { filmsFolder, keepFilm } from '../server/media/film-store';"))
