import { bundleProblem, pickedParts, type Bundle } from '../../core/model/bundle';
import type { Product } from '../../core/model/product';
import { checkRule } from '../../core/rules/check';
import { COLLECTION_FIELD } from '../../core/rules/field';
import { conditionsOf } from '../../core/model/rule';
import type { FieldError } from '../../contract/problem';
import type { Catalog } from '../state/catalog';

/** What stops a bundle from being saved, in plain words. Bundles hold no bundles, so that none can come to hold itself. */
export function bundleProblems(catalog: Catalog, product: Product, bundle: Bundle): FieldError[] {
  const { shop, products } = catalog.working;
  const errors: FieldError[] = [];
  const blame = (at: number, message: string) => errors.push({ path: ['fields', 'bundle', 'slots', at], message });
  const misfit = bundleProblem(bundle);
  if (misfit) blame(misfit.at, misfit.message);
  bundle.slots.forEach(({ label, from }, at) => {
    if (from.how === 'rule') {
      const problem = checkRule(from.rule, shop.fields)[0];
      if (problem) blame(at, `${label}: ${problem.message}`);
      // What a bundle costs follows from its slots, and who is in a collection may follow from what it costs.
      else if (conditionsOf(from.rule).some(({ condition }) => condition.field === COLLECTION_FIELD))
        blame(at, `${label}: a slot cannot ask for a collection. Ask for what fills the collection.`);
      return;
    }
    for (const id of from.ids) {
      const part = products.get(id);
      if (id === product.id) blame(at, `${label}: a bundle cannot hold itself.`);
      else if (part?.kind === 'bundle')
        blame(at, `${label}: “${part.title}” is a bundle, and a bundle cannot stand in another.`);
      else if (!part && !pickedParts(product.bundle).includes(id)) blame(at, `${label}: this product was deleted.`);
    }
  });
  return errors;
}

/** Why a product cannot become a bundle; undefined when it can. */
export function refuseBecomingBundle(catalog: Catalog, product: Product): string | undefined {
  if (product.options.length > 0) return 'A bundle is sold as one. Take the options of this product away first.';
  for (const other of catalog.working.products.values())
    if (other.id !== product.id && pickedParts(other.bundle).includes(product.id))
      return `It is part of “${other.title}”, and a bundle cannot stand in another.`;
  return undefined;
}
