import { refusals } from '../shared/refusals';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import { emptiedBy, kindParts } from '../../core/products/kinds';
import { type Option, type OptionValue, type Product } from '../../core/model/product';
import { relationKinds, type Relation, type RelationKind } from '../../core/model/product-values';
import { isSameName } from '../../core/shared/same-name';
import { namesOf, type CopiedPart, type Field } from '../../core/model/fields';
import { productFields, relationFields } from '../../core/model/product-fields';
import { isSlugTaken } from '../store/groups';
import { type ProductFields } from '../store/products';
import {
  insertProduct,
  setOptions,
  setPictures,
  setProductCategories,
  setProductTags,
  setVariants,
  updateProduct,
} from '../store/put-products';
import { newId } from '../shared/ids';
import { invalidField } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';
import { variantsOf } from './variant-writes';

const COPY = 'Copy of ';

/** A draft like a product: all but its SKUs, barcodes, stock, address and status. Answers its id. */
export function copyProduct(catalog: Catalog, user: UserId, id: string): string {
  const product = productOrRefuse(catalog, id);
  const { db } = catalog;
  const copy = newId('product');
  const title = `${COPY}${product.title}`.slice(0, 200);
  const fresh = new Map<string, string>();
  const again = (kind: Parameters<typeof newId>[0], old: string) => {
    fresh.set(old, newId(kind));
    return fresh.get(old)!;
  };
  const pictures = product.pictures.map((picture) => ({ ...picture, id: again('picture', picture.id) }));
  const options = product.options.map((option) => ({
    ...option,
    id: again('option', option.id),
    values: option.values.map((value) => ({
      ...value,
      id: again('optionValue', value.id),
      pictureId: fresh.get(value.pictureId ?? '') ?? null,
    })),
  }));
  const variants = product.variants.map((variant) => ({
    ...variant,
    id: again('variant', variant.id),
    values: variant.values.map((value) => fresh.get(value)!),
    pictureId: fresh.get(variant.pictureId ?? '') ?? null,
    sku: '',
    barcode: '',
    stock: variant.stock === null ? null : 0,
  }));
  catalog.journal.change({ did: 'productCopied', title: product.title }, catalog.actor(user), () => {
    const slug = freeSlug(slugFrom(title), (wanted) => isSlugTaken(db, 'product', wanted));
    const { relations, ...plain } = product;
    const excludedCombinations = product.excludedCombinations.map((values) => values.map((value) => fresh.get(value)!));
    const files = product.files.map((file) => ({
      ...file,
      id: newId('file'),
      variantId: fresh.get(file.variantId ?? '') ?? null,
    }));
    const own = { files, title, slug, excludedCombinations, status: 'draft' as const };
    insertProduct(db, copy, { ...plain, ...relations, ...own }, catalog.clock().toISOString());
    setProductCategories(db, copy, product.categoryIds);
    setProductTags(db, copy, product.tagIds);
    setPictures(db, copy, pictures);
    setOptions(db, copy, options);
    setVariants(db, copy, variants);
  });
  return copy;
}

/** The fields of a product that stand in one of its parts. */
function fieldsOfPart({ relations, ...product }: Product, part: CopiedPart): Partial<ProductFields> {
  const isOfPart = ({ copied, column }: Field) => copied === part && column !== 'own table';
  const own = namesOf(productFields, isOfPart) as (keyof typeof product)[];
  const between = namesOf(relationFields, isOfPart);
  return Object.fromEntries([
    ...own.map((name) => [name, product[name]]),
    ...between.map((name) => [name, relations[name]]),
  ]) as Partial<ProductFields>;
}

/** Options like those of another product; what has the same name already keeps its id. */
function optionsLike(source: Product, target: Product): { options: Option[]; fresh: Map<string, string> } {
  const isSame = (a: { name: string }, b: { name: string }) => isSameName(a.name, b.name);
  const fresh = new Map<string, string>();
  const options = source.options.map((option): Option => {
    const known = target.options.find((each) => isSame(each, option));
    const values = option.values.map((value): OptionValue => {
      const own = known?.values.find((each) => isSame(each, value));
      fresh.set(value.id, own?.id ?? newId('optionValue'));
      return { ...value, id: fresh.get(value.id)!, pictureId: own?.pictureId ?? null };
    });
    return { ...option, id: known?.id ?? newId('option'), values };
  });
  return { options, fresh };
}

/** Gives a product the options of another, and their prices. Answers why not, when it would lose work by that. */
function giveOptions(catalog: Catalog, source: Product, target: Product): string | undefined {
  if (!kindParts[target.kind].options) return 'is a bundle and has no options';
  const { options, fresh } = optionsLike(source, target);
  const excludedCombinations = source.excludedCombinations.map((values) => values.map((value) => fresh.get(value)!));
  const { made, losing } = variantsOf(target, target.variants, options, excludedCombinations);
  if (losing.length > 0) return 'would lose variants with SKU, stock or a sale price';
  const prices = new Map(
    source.variants.map((variant) => [variant.values.map((value) => fresh.get(value)).join(' '), variant]),
  );
  const priced = made.map((variant) => {
    const like = prices.get(variant.values.join(' '));
    return like ? { ...variant, price: like.price, salePrice: like.salePrice } : variant;
  });
  setOptions(catalog.db, target.id, options);
  setVariants(catalog.db, target.id, priced);
  updateProduct(catalog.db, target.id, { excludedCombinations });
  return undefined;
}

/** Gives parts of a product to others, as one change. Answers how many got them, and which got no options and why. */
export function copyParts(
  catalog: Catalog,
  user: UserId,
  id: string,
  { to, parts }: { to: readonly string[]; parts: readonly CopiedPart[] },
): { changed: number; kept: { title: string; reason: string }[] } {
  const product = productOrRefuse(catalog, id);
  const targets = [...new Set(to)].filter((target) => target !== id && catalog.working.products.has(target));
  const fields = Object.assign({}, ...parts.map((part) => fieldsOfPart(product, part))) as Partial<ProductFields>;
  const notItself = (relation: Relation, target: string): Relation =>
    relation.how === 'picked' ? { how: 'picked', ids: relation.ids.filter((other) => other !== target) } : relation;
  const kept: { title: string; reason: string }[] = [];
  catalog.journal.change(
    { did: 'partsCopied', title: product.title, count: targets.length },
    catalog.actor(user),
    () => {
      for (const target of targets) {
        const emptied = Object.entries(emptiedBy(catalog.working.products.get(target)!.kind));
        // A kind that has no such part does not get it.
        const own = { ...fields, ...Object.fromEntries(emptied.filter(([name]) => name in fields)) };
        for (const kind of relationKinds) if (own[kind]) own[kind] = notItself(own[kind], target);
        updateProduct(catalog.db, target, own);
        if (parts.includes('options')) {
          const other = catalog.working.products.get(target)!;
          const reason = giveOptions(catalog, product, other);
          if (reason) kept.push({ title: other.title, reason });
        }
        if (!parts.includes('belongs')) continue;
        setProductCategories(catalog.db, target, product.categoryIds);
        setProductTags(catalog.db, target, product.tagIds);
      }
    },
  );
  return { changed: targets.length, kept };
}

/** Makes another product lead to this one too, after those that it picked already. */
export function relateBack(catalog: Catalog, user: UserId, id: string, kind: RelationKind, to: string): void {
  const product = productOrRefuse(catalog, id);
  const other = productOrRefuse(catalog, to);
  const relation = other.relations[kind];
  const ids = relation.how === 'picked' ? relation.ids : [];
  if (ids.includes(id)) return;
  if (id === to) throw invalidField(['to'], refusals.besideItself);
  if (ids.length >= 24) throw invalidField(['to'], refusals.besideFull(other.title));
  catalog.journal.change({ did: 'relatedBack', title: product.title, from: other.title }, catalog.actor(user), () =>
    updateProduct(catalog.db, to, { [kind]: { how: 'picked', ids: [...ids, id] } }),
  );
}
