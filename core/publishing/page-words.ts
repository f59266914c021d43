import type { FieldChange } from './changes';
import type { Page } from '../model/page';
import type { Section } from '../model/sections/sections';
import { momentWords } from '../shared/moment';
import type { Shop } from '../shop/shop';
import { sectionFields, sectionName } from '../storefront/pages/sections/sections';
import { targetName } from '../storefront/pages/targets';
import { short } from './product-words';

/** What shoppers and search engines notice of a page beside its sections, by label. */
export function pageFields(shop: Shop, page: Page): Map<string, string> {
  const day = (moment: string | null) => (moment ? momentWords(moment, shop.settings.timeZone) : '');
  return new Map([
    ['Title', page.title],
    ['Title on the page', page.showsTitle ? 'shown' : ''],
    ['Address', page.home ? '/' : `/page/${page.slug}`],
    ['Seen from', day(page.from)],
    ['Seen until', day(page.until)],
    ['Meta title', page.metaTitle],
    ['Meta description', page.metaDescription],
    ['Search engines', page.noindex ? 'kept away' : ''],
    ['Stands on', page.standsOn.map((to) => targetName(shop, to) ?? 'something deleted').join(', ')],
  ]);
}

/** Names of sections, those that are alike told apart by a number. */
function namesOf(shop: Shop, sections: readonly Section[]): Map<string, string> {
  const seen = new Map<string, number>();
  return new Map(
    sections.map((section) => {
      const name = sectionName(shop, section);
      const nth = (seen.get(name) ?? 0) + 1;
      seen.set(name, nth);
      return [section.id, nth === 1 ? name : `${name} (${nth})`];
    }),
  );
}

/** What changed about the sections of a page, in words: who came, who went, who moved, and what each says or shows now. */
export function sectionChanges(
  [live, before]: readonly [Shop, Page],
  [work, after]: readonly [Shop, Page],
): FieldChange[] {
  const old = new Map(before.sections.map((section) => [section.id, section]));
  const now = new Set(after.sections.map(({ id }) => id));
  const [oldNames, names] = [namesOf(live, before.sections), namesOf(work, after.sections)];
  const changes: FieldChange[] = [];
  for (const section of before.sections)
    if (!now.has(section.id)) changes.push({ label: oldNames.get(section.id)!, before: 'on the page', after: '' });
  for (const section of after.sections) {
    const name = names.get(section.id)!;
    const was = old.get(section.id);
    if (!was) {
      changes.push({ label: name, before: '', after: 'new on the page' });
      continue;
    }
    const [a, b] = [sectionFields(live, was), sectionFields(work, section)];
    for (const label of new Set([...a.keys(), ...b.keys()])) {
      const [from, to] = [a.get(label) ?? '', b.get(label) ?? ''];
      if (from !== to) changes.push({ label: `${name}: ${label}`, before: short(from), after: short(to) });
    }
  }
  const stayed = (page: Page, of: ReadonlySet<string> | ReadonlyMap<string, unknown>) =>
    page.sections.filter(({ id }) => of.has(id)).map(({ id }) => id);
  const order = stayed(after, old);
  if (stayed(before, now).some((id, i) => id !== order[i]))
    changes.push({
      label: 'Order of sections',
      before: stayed(before, now)
        .map((id) => oldNames.get(id))
        .join(', '),
      after: order.map((id) => names.get(id)).join(', '),
    });
  return changes;
}
