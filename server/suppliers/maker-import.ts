import type { PlannedProduct } from '../../core/exchange/planned';
import type { Product, Variant } from '../../core/model/product';
import type { ArrivedPicture, Proposed } from '../../core/model/proposal';
import type { makerRoutes } from '../../contract/maker';
import type { AnswerOf } from '../../contract/route';
import { planPartly } from '../exchange/queries';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import type { SessionRow } from '../store/people';
import { languagesOf, ownProducts, pick, proposedOfProduct, proposedOfVariant, suppliersOf } from './maker';
import { draftOf, keepDrafts, type Draft } from './maker-proposals';

/** Of a product that a file makes, what makers may propose. */
function proposedOf(after: Product, texts: PlannedProduct['texts'], own: ReadonlySet<string>): Proposed {
  const told: Record<string, Record<string, string>> = {};
  for (const { locale, path, text } of texts) if (own.has(locale)) (told[locale] ??= {})[path] = text ?? '';
  return {
    product: pick(after, [...proposedOfProduct]),
    variants: Object.fromEntries(
      after.variants.map((variant: Variant) => [variant.id, pick(variant, [...proposedOfVariant])]),
    ),
    pictures: [] as ArrivedPicture[],
    texts: told,
  };
}

/** Proposes what a file says of their goods: known ones otherwise, and new ones. */
export async function importProposals(
  catalog: Catalog,
  maker: SessionRow,
  file: { name: string; content: Buffer },
): Promise<AnswerOf<typeof makerRoutes.importGoods>> {
  const own = new Map(ownProducts(catalog, maker).map((each) => [each.product.id, each]));
  const languages = new Set(languagesOf(catalog, maker));
  const supplier = suppliersOf(catalog, maker)[0];
  if (!supplier) throw notFound(refusals.noSuchSupplier);
  const { planned, refused, ignored } = await planPartly(catalog, file, {
    allows: ({ key, of, field, wording }) =>
      key === 'variant sku' ||
      key.startsWith('option ') ||
      (wording
        ? languages.has(wording.locale)
        : (of === 'variant' ? proposedOfVariant : proposedOfProduct).has(field ?? '')),
    owns: ({ id }) => own.has(id),
    foreign: refusals.notYourGoods,
  });
  const changed: Draft[] = [];
  const added: Draft[] = [];
  let same = 0;
  for (const { before, after, texts } of planned) {
    const known = before && own.get(before.id);
    const proposed = after && proposedOf(after, texts, languages);
    if (known && proposed) {
      const isKnown = new Set(known.product.variants.map(({ id }) => id));
      const variants = Object.fromEntries(Object.entries(proposed.variants).filter(([id]) => isKnown.has(id)));
      const draft = draftOf(catalog, known, { ...proposed, variants }, '');
      if (draft) changed.push(draft);
      else same++;
    } else if (proposed && !before) {
      const { options, variants } = after;
      const made = { options, variants: variants.map((variant) => ({ ...variant, stock: null })) };
      added.push({ supplierId: supplier.id, productId: null, body: { ...proposed, made, was: {} }, note: '' });
    } else same++;
  }
  const drafts = [...changed, ...added];
  if (drafts.length > 0) keepDrafts(catalog, maker, drafts);
  return {
    changed: changed.length,
    added: added.length,
    same,
    // The first row of a file is its head.
    refused: refused.map(({ row, message }) => ({ row: row + 2, message })),
    ignored,
  };
}
