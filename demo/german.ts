import type { WordedKind } from '../core/model/wording';
import { freeSlug, slugFrom } from '../core/shared/slug';
import { unitsOf } from '../core/shop/translation-units';
import { wordedIds } from '../core/shop/worded-things';
import { saveTexts, addLanguage, changeLanguage, draftTexts } from '../server/languages/commands';
import type { Catalog } from '../server/state/catalog';
import { writeSettings } from '../server/store/pages';

/** Names of groups and of everything that many goods share. */
const shared: Readonly<Record<string, string>> = {
  Kites: 'Drachen',
  'Single-line kites': 'Einleiner',
  Deltas: 'Deltadrachen',
  Diamonds: 'Rautendrachen',
  'Sleds & pockets': 'Schlitten & Taschendrachen',
  'Box kites': 'Kastendrachen',
  'Dual-line kites': 'Zweileiner',
  'Sport kites': 'Lenkdrachen',
  Foils: 'Matten',
  'Quad-line kites': 'Vierleiner',
  'Line & reels': 'Leinen & Spulen',
  Line: 'Leinen',
  'Reels & winders': 'Spulen & Haspeln',
  'Parts & repair': 'Teile & Reparatur',
  Spars: 'Stäbe',
  'Sail cloth': 'Segeltuch',
  'Connectors & tape': 'Verbinder & Klebeband',
  'Tails & windsocks': 'Schwänze & Windsäcke',
  'Indoor gliders': 'Hallengleiter',
  'Plans & sounds': 'Pläne & Klänge',
  Workshops: 'Kurse',
  Gifts: 'Geschenke',
  Parts: 'Teile',
  Tails: 'Schwänze',
  Plans: 'Pläne',
  'Ask us': 'Fragen Sie uns',
  'Light-wind days': 'Tage mit wenig Wind',
  'First kites': 'Erste Drachen',
  'Under 25': 'Unter 25',
  'Beach week': 'Strandwoche',
  'Night flyers': 'Nachtflieger',
  'Just in': 'Neu eingetroffen',
  'On sale': 'Im Angebot',
  'Strong wind': 'Starker Wind',
  'Best sellers': 'Am meisten verkauft',
  'by the metre': 'Meterware',
  colour: 'farbig',
  download: 'Download',
  experience: 'Erlebnis',
  'first kite': 'erster Drachen',
  'four lines': 'vier Leinen',
  gift: 'Geschenk',
  indoor: 'Halle',
  large: 'groß',
  'light wind': 'wenig Wind',
  night: 'Nacht',
  'ready to fly': 'flugfertig',
  repair: 'Reparatur',
  'single line': 'eine Leine',
  travel: 'Reise',
  'two lines': 'zwei Leinen',
  windy: 'windig',
  Colourway: 'Farbe',
  Colour: 'Farbe',
  'Line set': 'Leinensatz',
  Size: 'Größe',
  Pack: 'Packung',
  Lines: 'Leinen',
  Length: 'Länge',
  Strength: 'Bruchlast',
  Diameter: 'Durchmesser',
  Piece: 'Stück',
  Fixing: 'Befestigung',
  Day: 'Tag',
  Value: 'Wert',
  Frame: 'Gestell',
  Ember: 'Glut',
  Pine: 'Kiefer',
  Sea: 'Meer',
  Plum: 'Pflaume',
  Without: 'Ohne',
  'With 50 m reel': 'Mit Spule, 50 m',
  Sun: 'Sonne',
  Rose: 'Rosa',
  Moss: 'Moos',
  'With lines and straps': 'Mit Leinen und Schlaufen',
  Slate: 'Schiefer',
  Loop: 'Schlaufe',
  Swivel: 'Wirbel',
  Saturday: 'Samstag',
  Sunday: 'Sonntag',
  'Glass fibre': 'Glasfaser',
  Carbon: 'Kohlefaser',
  Wingspan: 'Spannweite',
  'Wind range': 'Windbereich',
  Weight: 'Gewicht',
  Skill: 'Können',
  beginner: 'Anfänger',
  Beginner: 'Anfänger',
  Shop: 'Shop',
  Home: 'Startseite',
  'There is wind on Saturday': 'Am Samstag weht Wind',
  'Kites that lift in a whisper, for beaches, meadows and the car park behind the school.':
    'Drachen, die beim leisesten Hauch steigen: für Strand, Wiese und den Parkplatz hinter der Schule.',
  Parcel: 'Paket',
  'Bank transfer': 'Überweisung',
  'Card (simulated)': 'Karte (simuliert)',
  'Sold out': 'Ausverkauft',
};

/** Titles and first sentences of goods. What is not here waits to be translated. */
const goods: Readonly<Record<string, readonly [title: string, summary: string]>> = {
  'Harrier delta 180': ['Weihe Deltadrachen 180', 'Ein gutmütiger Einleiner, der beim leisesten Hauch steigt.'],
  'Petrel delta 240 light': [
    'Sturmvogel Deltadrachen 240 leicht',
    'Zwei Meter vierzig Ruhe, jetzt um ein Viertel leichter.',
  ],
  'Wagtail delta 120': ['Bachstelze Deltadrachen 120', 'Klein, schnell aufgebaut und im Rucksack zu Hause.'],
  'Heron delta 300': [
    'Reiher Deltadrachen 300',
    'Große, langsame Flügel, die einen Schwanz oder eine Kamera tragen, ohne zu murren.',
  ],
  'Swift delta 150': ['Segler Deltadrachen 150', 'Etwas mehr Zug für etwas mehr Wind.'],
  'Night-glow delta': [
    'Leucht-Deltadrachen',
    'Leuchtet zwei Stunden nach Sonnenuntergang, heller nach einem sonnigen Tag.',
  ],
  'Linnet delta 90': ['Hänfling Deltadrachen 90', 'Der in jede Tasche passt, für alle Fälle.'],
  'Marsh delta 200': ['Marsch Deltadrachen 200', 'Lange Flügelspitzen, die sich auf die Luft legen und dort bleiben.'],
  'Storm delta 160': ['Sturm Deltadrachen 160', 'Mit Luftlöchern für Tage, an denen alle anderen einpacken.'],
  'Diamond classic': ['Rautendrachen klassisch', 'Der Drachen, den jeder zeichnet, mit sieben Schleifen am Schwanz.'],
  'Night-glow diamond': [
    'Leucht-Rautendrachen',
    'Eine Raute für die Dämmerung: das Kreuz leuchtet, die Schleifen folgen.',
  ],
  'Tidewater eddy': ['Gezeiten Bogenraute', 'Eine gebogene Raute, die keinen Schwanz braucht und keine Hilfe will.'],
  'Patchwork diamond': ['Flicken-Rautendrachen', 'Aus Resten genäht, keine zwei sind gleich.'],
  'Wren pocket sled': [
    'Zaunkönig Taschenschlitten',
    'Faltet sich so klein wie ein Butterbrot und fliegt wie ein doppelt so großer Drachen.',
  ],
  'Plover pocket': ['Regenpfeifer Taschendrachen', 'Sechs Kammern, keine Stäbe, nichts, was bricht.'],
  'Sanderling sled': ['Sanderling Schlitten', 'Steigt aus der Hand, sobald ein Lüftchen geht.'],
  'School sled': ['Schulschlitten', 'Weißes Tuch zum Bemalen, einzeln oder dreißig auf einmal.'],
  'Meridian box kite': ['Meridian Kastendrachen', 'Zwei Zellen, vier Stäbe und hundert Jahre Übung.'],
  'Lighthouse box': ['Leuchtturm Kastendrachen', 'Streifen, die man noch im nächsten Dorf sieht.'],
  'Crate box kite': ['Kisten-Kastendrachen', 'Ein kleiner Kasten mit lauter Stimme bei starkem Wind.'],
  'Skua sport kite': ['Raubmöwe Lenkdrachen', 'Scharfe Ecken, wenn Sie wollen, langsame Kreise, wenn nicht.'],
  'Tern sport kite': ['Seeschwalbe Lenkdrachen', 'Ein erster Lenkdrachen, der einen Sturzflug gelassen nimmt.'],
  'Gannet sport kite XL': ['Basstölpel Lenkdrachen XL', 'Groß, ruhig und genau. Braucht Platz.'],
  'Kittiwake light': ['Dreizehenmöwe leicht', 'Für die ersten beiden Stufen der Windskala gemacht.'],
  'Fulmar sport kite': [
    'Eissturmvogel Lenkdrachen',
    'Für windige Küsten: Luftlöcher, ein starkes Gestell und kurze Spitzen.',
  ],
  'Petrel indoor sport': ['Sturmvogel Hallenlenkdrachen', 'Fliegt in der Sporthalle, gezogen nur von Ihren Schritten.'],
  'Skua dual-line foil': [
    'Raubmöwe Zweileiner-Matte',
    'Weich, stark und unzerbrechlich: zieht Sie den Strand entlang.',
  ],
  'Beach foil 1.0': ['Strandmatte 1.0', 'Ein sanfter Anfang mit zwei Leinen und einer Tasche zum Sitzen.'],
  'Hover quad': ['Schwebe-Vierleiner', 'Hält an, dreht auf der Stelle und parkt rückwärts ein.'],
  'Quad trainer': ['Übungs-Vierleiner', 'Vier Leinen ohne Tränen, mit einem Film zu jedem Schritt.'],
  'Braided line': ['Geflochtene Leine', 'Dehnt sich nicht, singt nicht, und Salz ist ihr gleich.'],
  'Twisted line 50 m': ['Gedrehte Leine 50 m', 'Schlichte, ehrliche Leine für schlichte, ehrliche Drachen.'],
  'Sleeved dual-line set': ['Zweileiner-Leinensatz', 'Zwei gleiche Leinen, vorgereckt, mit ummantelten Enden.'],
  'Night line 50 m': ['Nachtleine 50 m', 'Leuchtet gerade genug, um sie zu finden.'],
  'Cotton line 100 m': ['Baumwollleine 100 m', 'Für Drachen mit Vergangenheit.'],
  'Beech reel': ['Buchenspule', 'Aus einem Stück gedrechselt, geölt und mit jedem Sommer glatter.'],
  'Hoop winder': ['Ringhaspel', 'Wickelt schnell und verheddert sich nie. Fast nie.'],
  'Child’s reel': ['Kinderspule', 'Große Griffe, kurze Leine, keine scharfen Kanten.'],
  'Finger straps': ['Fingerschlaufen', 'Weiche Schlaufen für zwei Leinen und lange Nachmittage.'],
  'Carbon spar': ['Kohlefaserstab', 'Steif und leicht; umwickelt, damit er sich biegt, bevor er bricht.'],
  'Glass-fibre spar': ['Glasfaserstab', 'Biegt sich weit und kommt zurück.'],
  'Ripstop nylon, per metre': [
    'Ripstop-Nylon, Meterware',
    'Das Tuch, aus dem die meisten unserer Drachen sind, 150 cm breit.',
  ],
  'Offcut bag': ['Restebeutel', 'Ein halbes Kilo Farben: genug für einen Schwanz oder einen sehr kleinen Drachen.'],
  'Ripstop repair tape': ['Ripstop-Reparaturband', 'Klebt jahrelang. Runden Sie zuerst die Ecken ab.'],
  'Needle and thread kit': ['Nähzeug', 'Gewachster Faden, drei Nadeln, ein Fingerhut.'],
  'Ribbon tail 6 m': ['Bandschwanz 6 m', 'Drei Bänder, die einen unruhigen Drachen beruhigen.'],
  'Tube tail 10 m': ['Schlauchschwanz 10 m', 'Ein langer, weicher Schlauch, der durch die Luft schwimmt.'],
  'Harbour windsock': ['Hafen-Windsack', 'Fünf Farbringe für den Garten oder das Boot.'],
  'Balcony windsock': ['Balkon-Windsack', 'Klein, mit einer Klemme für das Geländer.'],
  'Glow tail 4 m': ['Leuchtschwanz 4 m', 'Zeichnet Linien ins Dunkel.'],
  'Balsa glider': ['Balsagleiter', 'Wird gesteckt, mit einer Münze getrimmt und fliegt durch eine ganze Halle.'],
  'Build plan: Harrier delta': [
    'Bauplan: Weihe Deltadrachen',
    'Unser eigener Deltadrachen in voller Größe, mit jedem Kniff.',
  ],
  'First-flight afternoon': ['Nachmittag des ersten Flugs', 'Drei Stunden am Strand mit acht Drachen und uns beiden.'],
  'Kite repair by the hour': [
    'Drachenreparatur nach Stunden',
    'Bringen Sie ihn mit, und wir sehen ihn uns zusammen an.',
  ],
  'Gift card': ['Geschenkgutschein', 'Für jemanden, dessen Lieblingsfarbe Sie nicht kennen.'],
  'Kite postcard set': ['Drachen-Postkarten', 'Zehn Karten, zehn Drachen, ein Hafen.'],
  'Harbour mug': ['Hafenbecher', 'Emaille, mit einer kleinen Raute, wo der Löffel liegt.'],
  'Starter kit': [
    'Anfängerpaket',
    'Wählen Sie einen ersten Drachen, eine Leine und eine Spule. Wir packen alles in eine Tasche.',
  ],
  'Repair kit': ['Reparaturset', 'Was die meisten Abende am Küchentisch brauchen, in einer Dose.'],
};

/** Titles that read otherwise when they were translated, so that the demo shows what an older translation looks like. */
const before: Readonly<Record<string, string>> = {
  'Heron delta 300': 'Heron delta 280',
  'Beech reel': 'Beech reel, oiled',
  'Quad trainer': 'Quad trainer set',
};

const glossary = [
  { term: 'sport kite', as: { de: 'Lenkdrachen' } },
  { term: 'delta', as: { de: 'Deltadrachen' } },
  { term: 'light wind', as: { de: 'wenig Wind' } },
];

/** What means the same to who searches in German. */
const synonyms = [
  ['Anfänger', 'erster Drachen', 'Einsteiger'],
  ['Sturm', 'starker Wind', 'windig'],
  ['Flaute', 'wenig Wind'],
  ['Schnur', 'Leine'],
  ['Kite', 'Drachen'],
];

/** Drafts of the helper, so that some wait to be looked at. */
const DRAFTED: readonly WordedKind[] = ['offer'];

/** German, by half: what shops share and the first goods are done, some of it out of date, some drafted, the rest missing. */
export function speakGerman(catalog: Catalog, user: string): void {
  const { shop } = catalog.working;
  addLanguage(catalog, user, 'de');
  changeLanguage(catalog, user, 'de', { isOn: true });
  const texts: Parameters<typeof saveTexts>[3][number][] = [];
  const taken = new Set<string>();
  const put = (kind: WordedKind, id: string, path: string, source: string, text: string) =>
    texts.push({ kind, id, path, source, text });
  for (const kind of ['category', 'collection', 'tag', 'option', 'specSheet', 'page', 'menu', 'settings'] as const)
    for (const id of wordedIds(shop, kind))
      for (const { path, text } of unitsOf(shop, 'de', kind, id))
        if (shared[text] !== undefined && path !== 'slug') put(kind, id, path, text, shared[text]);
  for (const id of wordedIds(shop, 'product')) {
    const { title, summary, slug } = shop.products.get(id)!;
    const told = goods[title];
    if (!told) continue;
    put('product', id, 'title', before[title] ?? title, told[0]);
    if (summary) put('product', id, 'summary', summary, told[1]);
    const address = freeSlug(slugFrom(told[0], slug, 'de'), (each) => taken.has(each));
    taken.add(address);
    put('product', id, 'slug', slug, address);
  }
  for (let from = 0; from < texts.length; from += 1_000)
    saveTexts(catalog, user, 'de', texts.slice(from, from + 1_000));
  const { settings } = shop;
  catalog.journal.change({ did: 'languagesChanged' }, catalog.actor(user), () =>
    writeSettings(catalog.db, {
      ...settings,
      languages: {
        others: settings.languages.others.map((language) => ({ ...language, synonyms })),
        glossary,
      },
    }),
  );
  for (const kind of DRAFTED) draftTexts(catalog, user, 'de', { kind });
}
