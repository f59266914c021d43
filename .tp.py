def sub(p,*pairs):
    s=open(p).read()
    for a,b in pairs:
        assert a in s,(p,a)
        s=s.replace(a,b)
    open(p,'w').write(s)
sub('core/shop/resolved-shop.ts',("    this.index.text.synonyms = new Synonyms(this.settings.synonyms);\n    // Which options","    this.#readWords();\n    // Which options"),("    if (kind === 'settings') this.index.text.synonyms = new Synonyms(this.settings.synonyms);\n  }\n","""    if (kind === 'settings') this.#readWords();
  }

  /** What the index is to know of words: which mean the same, and the language that they are of. */
  #readWords(): void {
    this.index.text.synonyms = new Synonyms(this.settings.synonyms);
    this.index.text.language = this.language;
  }
"""),("  get tree(): CategoryTree {","""  get language(): Language {
    return languageOf(this.settings.locale);
  }

  get tree(): CategoryTree {"""),("import { Synonyms } from '../search/synonyms';","import { languageOf } from '../search/language';\nimport { Synonyms } from '../search/synonyms';\nimport type { Language } from '../search/text-query';"))
sub('core/search/listing-query.ts',("  text?: string;\n","  /** words as they were typed, or a query that was read */\n  text?: string | TextQuery;\n"),("import type { Bitset } from './bitset';","import type { Bitset } from './bitset';\nimport type { TextQuery } from './text-query';"),("  /** variants that pass all variant filters; undefined when there are none */","  /** parts of the text that were left out, so that something is found */\n  dropped: string[];\n  /** variants that pass all variant filters; undefined when there are none */"))
sub('core/search/listing.ts',("""    if (match) {
      this.#base.and(match.hits);
""","""    if (match) {
      this.#base.and(match.hits);
      this.#dropped = match.dropped;
"""),("  #scores: Uint32Array | undefined;\n","  #scores: Uint32Array | undefined;\n  #dropped: string[] = [];\n"),("      products: products.clone(),\n","      products: products.clone(),\n      dropped: this.#dropped,\n"),
("    if (sort === 'match' && this.#scores) return this.#bestMatches(products, this.#scores, offset, limit);","""    if (sort === 'match' && this.#scores) {
      const { language } = index.text;
      if (typeof query.text === 'object' && language)
        addTitleFit({ hits: products, scores: this.#scores }, query.text.stems, (slot) => index.title(slot), language);
      return this.#bestMatches(products, this.#scores, offset, limit);
    }"""),("import type { FinderIndex }","import { addTitleFit } from './title-fit';\nimport type { FinderIndex }"))
sub('core/search/finder-index.ts',("  order(key: string): SortedOrder | undefined {","  /** The title of a product, folded. */\n  title(slot: number): string {\n    return this.#titles[slot]!;\n  }\n\n  order(key: string): SortedOrder | undefined {"))
sub('core/storefront/listing-view.ts',("    text: q,\n","    text: understand(shop, q),\n"),("cardOf(shop, slot, result.variants)),","cardOf(shop, slot, shownVariants(result.variants, meant))),\n    without: result.dropped,"),("  const base = placeSet(shop, at, now);\n","  const base = placeSet(shop, at, now);\n  const meant = q === '' ? undefined : variantsMeant(shop, q);\n"),("const ended = (x","""/** Variants of which a card shows the first: those that pass the filters and are what the text speaks of. */
const shownVariants = (passing: Bitset | undefined, meant: Bitset | undefined) =>
  passing && meant ? passing.clone().and(meant) : (passing ?? meant);

const ended = (x"""),("import { sheetsInOrder } from '../shop/shop-fields';","import { sheetsInOrder } from '../shop/shop-fields';\nimport { understand, variantsMeant } from '../shop/understand';"))
sub('server/search/find.ts',("list(shop.index, { text: q,","list(shop.index, { text: understand(shop, q),"),("import type { deskRoutes }","import { understand } from '../../core/shop/understand';\nimport type { deskRoutes }"))
sub('server/search/queries.ts',("    text,\n    sort: orderOf","    text: understand(shop, text),\n    sort: orderOf"),("import { cachedByVersion }","import { understand } from '../../core/shop/understand';\nimport { cachedByVersion }"))
