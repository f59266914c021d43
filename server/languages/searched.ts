import type { searchedRoutes } from '../../contract/searched';
import type { AnswerOf, BodyOf, QueryOf } from '../../contract/route';
import type { Searches } from '../../core/model/searches';
import type { Settings } from '../../core/model/settings';
import type { Link } from '../../core/model/target';
import { list } from '../../core/search/listing';
import type { Shop } from '../../core/shop/shop';
import { understand } from '../../core/shop/understand';
import { linkWords } from '../../core/storefront/pages/targets';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { countedWords } from '../state/shopper-counts';
import { writeSettings } from '../store/pages';
import { readOpened, readSearched } from '../store/shopper-counts';

const DAY = 86_400;
const MOST = 300;

/** How many goods a search finds in a shop now. */
const findsNow = (shop: Shop, words: string): number =>
  list(shop.index, {
    base: shop.listed,
    text: understand(shop, words),
    texts: shop.texts,
    sort: 'match',
    tieOrder: 'worth',
    offset: 0,
    limit: 0,
  }).total;

const told = (shop: Shop, to: Link) => ({ label: linkWords(shop, to), to });

/** What shoppers searched: how it is answered now, by the working copy, so that a mend is seen at once. */
export function searchedAnswer(
  catalog: Catalog,
  { days, nothing }: QueryOf<typeof searchedRoutes.searched>,
): AnswerOf<typeof searchedRoutes.searched> {
  const { db, working, now } = catalog;
  catalog.writeCounts();
  const { shop } = working;
  const { leads } = shop.settings.searches;
  const since = Math.floor(now / DAY) * DAY - (days - 1) * DAY;
  const rows = readSearched(db, since, false, MOST).map(({ locale, words, times, last }) => {
    const lead = leads.find((each) => each.locale === locale && each.words === words);
    return {
      locale,
      words,
      times,
      last,
      finds: findsNow(shop.inLanguage(locale), words),
      opened: readOpened(db, locale, words).flatMap(({ productId, times: often }) => {
        const product = shop.products.get(productId);
        return product ? [{ id: productId, title: product.title, times: often }] : [];
      }),
      leads: lead ? told(shop, lead.to) : null,
    };
  });
  const isLost = (row: (typeof rows)[number]) => row.finds === 0 && row.leads === null;
  return {
    rows: nothing === 'true' ? rows.filter(isLost) : rows,
    counted: rows.reduce((sum, { times }) => sum + times, 0),
  };
}

function changeSettings(catalog: Catalog, user: string, fields: Partial<Settings>): void {
  const next = { ...catalog.working.shop.settings, ...fields };
  catalog.journal.change({ did: 'settingsChanged' }, catalog.actor(user), () => writeSettings(catalog.db, next));
}

/** Lets words mean the same as others, in the language in which they were searched. */
export function meanTheSame(
  catalog: Catalog,
  user: string,
  { locale, words, as }: BodyOf<typeof searchedRoutes.same>,
): void {
  const { settings } = catalog.working.shop;
  const line = [words, as];
  if (locale === settings.locale) return changeSettings(catalog, user, { synonyms: [...settings.synonyms, line] });
  const others = settings.languages.others.map((each) =>
    each.locale === locale ? { ...each, synonyms: [...each.synonyms, line] } : each,
  );
  changeSettings(catalog, user, { languages: { ...settings.languages, others } });
}

/** Lets a search lead to a page at once; with null it is searched again. */
export function leadSearch(
  catalog: Catalog,
  user: string,
  { locale, words, to }: BodyOf<typeof searchedRoutes.lead>,
): void {
  const counted = countedWords(words);
  if (counted === undefined) throw invalidField(['words'], refusals.noSearchWords);
  const { leads } = catalog.working.shop.settings.searches;
  const rest = leads.filter((each) => each.locale !== locale || each.words !== counted);
  const searches: Searches = { leads: to ? [...rest, { locale, words: counted, to }] : rest };
  changeSettings(catalog, user, { searches });
}
