import { freeSlug, slugFrom } from '../../core/catalog/identity';
import { formatMoney } from '../../core/catalog/money';
import {
  relationKinds,
  variantDefaults,
  type Option,
  type Picture,
  type Product,
  type ProductKind,
  type Relation,
  type RelationKind,
  type Variant,
} from '../../core/catalog/product';
import { emptiedBy, kindParts, lostBy } from '../../core/catalog/kinds';
import { specProblem } from '../../core/catalog/spec';
import { checkOptions, holdsWork, planVariants, stillLeftOut, variantName } from '../../core/catalog/variants';
import { kindWords } from '../../core/rules/field';
import { canonicalJson } from '../../core/editions/document';
import { refuseQuantityPrices, refuseSalePrice, refuseSpan } from '../../core/pricing/price';
import type { CopiedPart, goodsRoutes } from '../../contract/goods';
import type { FieldError } from '../../contract/problem';
import type { BodyOf } from '../../contract/route';
import { isSlugTaken, keepRedirect } from '../database/groups';
import {
  deleteProduct,
  insertProduct,
  productColumns,
  setOptions,
  setPictures,
  setProductCategories,
  setProductTags,
  setVariants,
  updateProduct,
  type ProductFields,
} from '../database/products';
import { newId } from '../ids';
import { clash, invalid, invalidField, needsConfirmation, notFound } from '../problem';
import type { StoredMedia } from '../pictures/store';
import { cleanRichText } from '../security/rich-text';
import type { Catalog } from './catalog';

type Fields = BodyOf<typeof goodsRoutes.update>['fields'];
type VariantChanges = BodyOf<typeof goodsRoutes.setVariants>['changes'];
type WantedOptions = BodyOf<typeof goodsRoutes.setOptions>['options'];

/** Who writes, for the journal. */
export type UserId = string | null;

export function productOrRefuse(catalog: Catalog, id: string): Product {
  const product = catalog.working.products.get(id);
  if (!product) throw notFound('This product does not exist any more.');
  return product;
}

function newVariant(values: string[], like: Pick<Variant, 'price' | 'cost'> & Partial<Variant>): Variant {
  const { price, cost } = like;
  return {
    ...variantDefaults,
    id: newId('variant'),
    values,
    sku: '',
    price,
    salePrice: null,
    cost,
    pictureId: null,
    stock: null,
    warnAt: like.warnAt ?? null,
    content: like.content ?? null,
    weight: like.weight ?? null,
  };
}

export function createProduct(
  catalog: Catalog,
  user: UserId,
  { title, kind, price }: { title: string; kind: ProductKind; price: number },
): string {
  const id = newId('product');
  const { db } = catalog;
  catalog.journal.change(`Added “${title}”`, catalog.actor(user), () => {
    const slug = freeSlug(slugFrom(title), (wanted) => isSlugTaken(db, 'product', wanted));
    const created = catalog.clock().toISOString();
    insertProduct(
      db,
      id,
      { kind, title, summary: '', description: '', slug, standing: 'draft', featured: false, brandId: null },
      created,
    );
    setVariants(db, id, [newVariant([], { price, cost: null })]);
  });
  return id;
}

const fieldWords: Record<keyof Fields, string> = {
  kind: 'kind',
  title: 'title',
  summary: 'summary',
  description: 'description',
  slug: 'address',
  standing: 'standing',
  featured: 'featured',
  brandId: 'brand',
  categoryIds: 'categories',
  tagIds: 'tags',
  saleFrom: 'beginning of the sale',
  saleUntil: 'end of the sale',
  quantityPrices: 'quantity prices',
  unitPricing: 'unit price',
  taxClass: 'tax class',
  priceOnRequest: 'price on request',
  hidePriceWhenSoldOut: 'price when sold out',
  whenSoldOut: 'what happens when sold out',
  orderDelay: 'order delay',
  weight: 'weight',
  size: 'package size',
  packageSort: 'package',
  dispatchDays: 'days to dispatch',
  duration: 'duration',
  ownValue: 'value that shoppers choose',
  supplier: 'supplier',
  metaTitle: 'meta title',
  metaDescription: 'meta description',
  noindex: 'search engines',
  liveFrom: 'first day on the shop',
  liveUntil: 'last day on the shop',
  specSheetId: 'spec sheet',
  specs: 'specs',
  customFields: 'own fields',
  goesWith: 'goes with',
  stepUp: 'step up',
  similar: 'similar',
};

/** A field of a product by the name under which it is written. */
function fieldOf(product: Product, name: keyof Fields): unknown {
  return name in product.relations
    ? product.relations[name as RelationKind]
    : product[name as Exclude<keyof Fields, RelationKind>];
}

function updateLabel(product: Product, fields: Fields): string {
  const title = fields.title ?? product.title;
  const names = Object.keys(fields) as (keyof Fields)[];
  if (names.length === 1 && fields.standing)
    return {
      live: `Put “${title}” on the shop`,
      draft: `Made “${title}” a draft`,
      off: `Took “${title}” off the shop`,
    }[fields.standing];
  return `Changed ${names.map((name) => fieldWords[name]).join(', ')} of “${title}”`;
}

/** Fields that somebody else changed since `seen`, and that would be overwritten. */
function refuseClash(catalog: Catalog, product: Product, seen: number, fields: Fields): void {
  const subject = `product:${product.id}`;
  const { journal } = catalog;
  const columns = journal.columnsChangedSince(seen, subject, 'product', JSON.stringify([product.id]));
  const errors: FieldError[] = [];
  for (const name of Object.keys(fields) as (keyof Fields)[]) {
    const table = { categoryIds: 'product_category', tagIds: 'product_tag' }[name as 'categoryIds' | 'tagIds'];
    const isTouched = table
      ? journal.columnsChangedSince(seen, subject, table).size > 0
      : columns.has(productColumns[name as keyof ProductFields].column);
    if (isTouched && canonicalJson(fieldOf(product, name)) !== canonicalJson(fields[name]))
      errors.push({
        path: ['fields', name],
        message: `The ${fieldWords[name]} was changed by somebody else.`,
        theirs: fieldOf(product, name),
      });
  }
  if (errors.length > 0) throw clash(errors);
}

function refuseUnknown(catalog: Catalog, fields: Fields): void {
  const { shop } = catalog.working;
  const errors: FieldError[] = [];
  if (fields.brandId && !shop.brands.has(fields.brandId))
    errors.push({ path: ['fields', 'brandId'], message: 'This brand was deleted. Choose another.' });
  if (fields.categoryIds?.some((id) => !shop.categories.has(id)))
    errors.push({ path: ['fields', 'categoryIds'], message: 'One of these categories was deleted.' });
  if (fields.tagIds?.some((id) => !shop.tags.has(id)))
    errors.push({ path: ['fields', 'tagIds'], message: 'One of these tags was deleted.' });
  if (fields.specSheetId && !shop.specSheets.has(fields.specSheetId))
    errors.push({ path: ['fields', 'specSheetId'], message: 'This spec sheet was deleted. Choose another.' });
  for (const kind of relationKinds) {
    const relation = fields[kind];
    if (relation?.how === 'picked' && relation.ids.some((id) => !shop.products.has(id)))
      errors.push({ path: ['fields', kind], message: 'One of these products was deleted.' });
  }
  if (errors.length > 0) throw invalid(errors);
}

/** Asks before another kind loses something that was filled in. */
function refuseLoss(product: Product, kind: ProductKind): void {
  const lost = lostBy(product, kind);
  if (lost.length > 0)
    throw needsConfirmation(
      `As a ${kindWords[kind]}, it loses ${lost.join(', ').replace(/, ([^,]*)$/, ' and $1')}.`,
      'Undo brings it back.',
    );
}

export function changeProduct(
  catalog: Catalog,
  user: UserId,
  id: string,
  { seen, fields: typed, confirmed = false }: { seen: number; fields: Fields; confirmed?: boolean },
): void {
  const product = productOrRefuse(catalog, id);
  const isOtherKind = typed.kind !== undefined && typed.kind !== product.kind;
  if (isOtherKind && !confirmed) refuseLoss(product, typed.kind!);
  const fields: Fields = isOtherKind ? { ...emptiedBy(typed.kind!), ...typed } : typed;
  const { db } = catalog;
  const { categoryIds, tagIds, ...plain } = fields;
  if (plain.description !== undefined) plain.description = cleanRichText(plain.description);
  refuseUnknown(catalog, fields);
  refuseMisfits(catalog, product, fields);
  if (plain.slug && isSlugTaken(db, 'product', plain.slug, id))
    throw invalidField(['fields', 'slug'], 'Another product has this address already.');
  refuseClash(catalog, product, seen, fields);
  const isUnseen = !catalog.live.hashes.has(`product:${id}`);
  catalog.journal.change(updateLabel(product, typed), catalog.actor(user), () => {
    const isSlugOfTitle = product.slug.replace(/-\d+$/, '') === slugFrom(product.title);
    if (plain.title && !plain.slug && isUnseen && product.standing === 'draft' && isSlugOfTitle)
      plain.slug = freeSlug(slugFrom(plain.title), (wanted) => isSlugTaken(db, 'product', wanted, id));
    updateProduct(db, id, plain);
    if (isOtherKind && !kindParts[typed.kind!].delivery)
      setVariants(
        db,
        id,
        product.variants.map((variant) => ({ ...variant, weight: null })),
      );
    if (plain.slug && plain.slug !== product.slug && !isUnseen)
      keepRedirect(db, 'product', product.slug, plain.slug, id);
    if (categoryIds) setProductCategories(db, id, [...new Set(categoryIds)]);
    if (tagIds) setProductTags(db, id, [...new Set(tagIds)]);
  });
}

/** Fields that do not go together, or not with what the product already has. */
function refuseMisfits(catalog: Catalog, product: Product, fields: Fields): void {
  const after = { ...product, ...fields };
  const errors: FieldError[] = [];
  const blame = (name: keyof Fields, message: string | undefined) => {
    if (message) errors.push({ path: ['fields', name], message });
  };
  for (const [from, until] of [
    ['saleFrom', 'saleUntil'],
    ['liveFrom', 'liveUntil'],
  ] as const)
    if (from in fields || until in fields) blame(until in fields ? until : from, refuseSpan(after[from], after[until]));
  const tier = fields.quantityPrices && refuseQuantityPrices(fields.quantityPrices);
  if (tier) errors.push({ path: ['fields', 'quantityPrices', tier.at], message: tier.message });
  for (const kind of relationKinds) {
    const relation = fields[kind];
    if (relation?.how === 'picked' && relation.ids.includes(product.id))
      blame(kind, 'A product cannot stand beside itself.');
  }
  const sheet = catalog.working.shop.specSheets.get(after.specSheetId ?? '');
  for (const attribute of fields.specs ? (sheet?.attributes ?? []) : []) {
    const value = fields.specs![attribute.id];
    const message = value === undefined ? undefined : specProblem(attribute, value);
    if (message) errors.push({ path: ['fields', 'specs', attribute.id], message });
  }
  if (errors.length > 0) throw invalid(errors);
}

/** Sets the options; the variants follow. Asks first when variants with work in them would go. */
export function changeOptions(
  catalog: Catalog,
  user: UserId,
  id: string,
  {
    seen,
    options: wanted,
    leftOut: wantedLeftOut,
    confirmed,
  }: { seen: number; options: WantedOptions; leftOut?: string[][]; confirmed: boolean },
): void {
  const product = productOrRefuse(catalog, id);
  const problems = checkOptions(wanted);
  if (problems.length > 0) throw invalid(problems);
  const subject = `product:${id}`;
  const { journal } = catalog;
  if (['option', 'option_value'].some((table) => journal.columnsChangedSince(seen, subject, table).size > 0))
    throw clash([
      { path: ['options'], message: 'The options were changed by somebody else.', theirs: product.options },
    ]);
  const known = new Set(product.options.flatMap((option) => [option.id, ...option.values.map((value) => value.id)]));
  const idOr = (given: string | null, kind: 'option' | 'optionValue') =>
    given !== null && known.has(given) ? given : newId(kind);
  const options = wanted.map((option): Option => ({
    id: idOr(option.id, 'option'),
    name: option.name.trim(),
    values: option.values.map((value) => ({
      id: idOr(value.id, 'optionValue'),
      name: value.name.trim(),
      swatch: value.swatch,
    })),
  }));
  const leftOut = stillLeftOut(options, wantedLeftOut ?? product.leftOut);
  const plan = planVariants(product.options, options, product.variants, leftOut);
  if (plan.keep.length + plan.add.length === 0)
    throw invalidField(['leftOut'], 'At least one combination must be sold.');
  const losing = plan.drop.filter(holdsWork);
  if (losing.length > 0 && !confirmed)
    throw needsConfirmation(
      losing.length === 1
        ? 'One variant with SKU, stock or a sale price would go.'
        : `${losing.length} variants with SKU, stock or a sale price would go.`,
      losing
        .slice(0, 8)
        .map(
          (variant) =>
            `${variantName(product.options, variant)}${variant.sku ? ` (${variant.sku})` : ''}: ${variant.stock ?? 'uncounted'} in stock`,
        )
        .join('\n') + (losing.length > 8 ? `\nand ${losing.length - 8} more` : ''),
    );
  const made = [
    ...plan.keep.map(({ variant, values }) => ({ ...variant, values })),
    ...plan.add.map(({ values, like }) => newVariant(values, like ?? { price: 0, cost: null })),
  ];
  const place = new Map(options.map((option) => [option.id, new Map(option.values.map((value, i) => [value.id, i]))]));
  const rank = (variant: Variant) => variant.values.map((value, i) => place.get(options[i]!.id)!.get(value)!);
  made.sort((a, b) => {
    const [x, y] = [rank(a), rank(b)];
    const at = x.findIndex((n, i) => n !== y[i]);
    return at < 0 ? 0 : x[at]! - y[at]!;
  });
  journal.change(`Changed options of “${product.title}”`, catalog.actor(user), () => {
    setOptions(catalog.db, id, options);
    setVariants(catalog.db, id, made);
    updateProduct(catalog.db, id, { leftOut });
  });
}

const variantColumns = {
  sku: 'sku',
  price: 'price',
  salePrice: 'sale_price',
  cost: 'cost',
  stock: 'count',
  pictureId: 'picture_id',
  barcode: 'barcode',
  supplierNumber: 'supplier_number',
  warnAt: 'warn_at',
  content: 'content',
  weight: 'weight',
} as const;
const variantWords = {
  sku: 'SKU',
  price: 'price',
  salePrice: 'sale price',
  cost: 'cost',
  stock: 'stock',
  pictureId: 'picture',
  barcode: 'barcode',
  supplierNumber: 'supplier number',
  warnAt: 'warn-at level',
  content: 'content',
  weight: 'weight',
} as const;

export function changeVariants(
  catalog: Catalog,
  user: UserId,
  id: string,
  seen: number,
  changes: VariantChanges,
): void {
  const product = productOrRefuse(catalog, id);
  const { journal } = catalog;
  const errors: FieldError[] = [];
  const clashes: FieldError[] = [];
  const next = new Map(product.variants.map((variant) => [variant.id, variant]));
  changes.forEach(({ id: variantId, fields }, i) => {
    const variant = next.get(variantId);
    const path = (name: string) => ['changes', i, 'fields', name];
    if (!variant) throw notFound('This variant does not exist any more.');
    if (fields.pictureId && !product.pictures.some((picture) => picture.id === fields.pictureId))
      errors.push({ path: path('pictureId'), message: 'This picture was deleted. Choose another.' });
    for (const name of Object.keys(fields) as (keyof typeof variantColumns)[]) {
      const table = name === 'stock' ? 'stock' : 'variant';
      const columns = journal.columnsChangedSince(seen, `product:${id}`, table, JSON.stringify([variantId]));
      if (columns.has(variantColumns[name]) && variant[name] !== fields[name])
        clashes.push({
          path: path(name),
          message: `The ${variantWords[name]} was changed by somebody else.`,
          theirs: variant[name],
        });
    }
    const changed = { ...variant, ...fields };
    const saleProblem = refuseSalePrice(changed.price, changed.salePrice);
    if (saleProblem) {
      const blamed = 'salePrice' in fields || !('price' in fields) ? 'salePrice' : 'price';
      const hint =
        blamed === 'price'
          ? `The price must be above the sale price of ${formatMoney(changed.salePrice!, catalog.working.shop.settings.currency)}.`
          : saleProblem;
      errors.push({ path: path(blamed), message: hint });
    }
    next.set(variantId, changed);
  });
  if (errors.length > 0) throw invalid(errors);
  if (clashes.length > 0) throw clash(clashes);
  const names = new Set(changes.flatMap(({ fields }) => Object.keys(fields) as (keyof typeof variantWords)[]));
  const words = [...names].map((name) => variantWords[name]).join(', ');
  journal.change(`Changed ${words} of “${product.title}”`, catalog.actor(user), () =>
    setVariants(catalog.db, id, [...next.values()], new Set(changes.map((change) => change.id))),
  );
}

const freshPicture = { focus: { x: 0.5, y: 0.5 }, fit: 'fills' as const };

/** Puts a picture in the place of another, whose words and ties to variants it takes over. */
export function replacePicture(
  catalog: Catalog,
  user: UserId,
  id: string,
  pictureId: string,
  media: StoredMedia,
): void {
  const product = productOrRefuse(catalog, id);
  if (!product.pictures.some((picture) => picture.id === pictureId))
    throw notFound('This picture does not exist any more.');
  catalog.journal.change(`Replaced a picture of “${product.title}”`, catalog.actor(user), () =>
    setPictures(
      catalog.db,
      id,
      product.pictures.map((picture) =>
        picture.id === pictureId ? { ...picture, ...media, focus: freshPicture.focus } : picture,
      ),
    ),
  );
}

export function addPictures(catalog: Catalog, user: UserId, id: string, media: readonly StoredMedia[]): void {
  const product = productOrRefuse(catalog, id);
  const added = media.map((each) => ({ ...each, id: newId('picture'), alt: '', ...freshPicture }));
  const label = added.length === 1 ? 'a picture' : `${added.length} pictures`;
  catalog.journal.change(`Added ${label} to “${product.title}”`, catalog.actor(user), () =>
    setPictures(catalog.db, id, [...product.pictures, ...added]),
  );
}

/** Order, words and focus of pictures; those left out go. Pictures added meanwhile by somebody else stay. */
export function changePictures(
  catalog: Catalog,
  user: UserId,
  id: string,
  { seen, pictures }: { seen: number; pictures: readonly Pick<Picture, 'id' | 'alt' | 'focus' | 'fit'>[] },
): void {
  const product = productOrRefuse(catalog, id);
  const known = new Map(product.pictures.map((picture) => [picture.id, picture]));
  const next = pictures.flatMap((wanted) => {
    const picture = known.get(wanted.id);
    return picture ? [{ ...picture, ...wanted, alt: wanted.alt.trim() }] : [];
  });
  const isStale = catalog.journal.columnsChangedSince(seen, `product:${id}`, 'picture').size > 0;
  if (isStale)
    throw clash([
      { path: ['pictures'], message: 'The pictures were changed by somebody else.', theirs: product.pictures },
    ]);
  catalog.journal.change(`Changed pictures of “${product.title}”`, catalog.actor(user), () =>
    setPictures(catalog.db, id, next),
  );
}

const COPY = 'Copy of ';

/** A draft like a product: all but its SKUs, barcodes, stock, address and standing. Answers its id. */
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
    values: option.values.map((value) => ({ ...value, id: again('optionValue', value.id) })),
  }));
  const variants = product.variants.map((variant) => ({
    ...variant,
    id: newId('variant'),
    values: variant.values.map((value) => fresh.get(value)!),
    pictureId: fresh.get(variant.pictureId ?? '') ?? null,
    sku: '',
    barcode: '',
    stock: variant.stock === null ? null : 0,
  }));
  catalog.journal.change(`Copied “${product.title}”`, catalog.actor(user), () => {
    const slug = freeSlug(slugFrom(title), (wanted) => isSlugTaken(db, 'product', wanted));
    const { relations, ...plain } = product;
    insertProduct(db, copy, { ...plain, ...relations, title, slug, standing: 'draft' }, catalog.clock().toISOString());
    setProductCategories(db, copy, product.categoryIds);
    setProductTags(db, copy, product.tagIds);
    setPictures(db, copy, pictures);
    setOptions(db, copy, options);
    setVariants(db, copy, variants);
  });
  return copy;
}

/** What of a product each part is that can be given to others. */
const partFields: Record<CopiedPart, (product: Product) => Partial<ProductFields>> = {
  specs: ({ specSheetId, specs, customFields }) => ({ specSheetId, specs, customFields }),
  delivery: ({ weight, size, packageSort, dispatchDays }) => ({ weight, size, packageSort, dispatchDays }),
  relations: ({ relations }) => relations,
  prices: ({ saleFrom, saleUntil, quantityPrices, unitPricing, taxClass, priceOnRequest, hidePriceWhenSoldOut }) => ({
    saleFrom,
    saleUntil,
    quantityPrices,
    unitPricing,
    taxClass,
    priceOnRequest,
    hidePriceWhenSoldOut,
  }),
  search: ({ noindex }) => ({ noindex }),
  belongs: ({ brandId, supplier }) => ({ brandId, supplier }),
};

/** Gives parts of a product to others, as one change. Answers how many got them. */
export function copyParts(
  catalog: Catalog,
  user: UserId,
  id: string,
  { to, parts }: { to: readonly string[]; parts: readonly CopiedPart[] },
): number {
  const product = productOrRefuse(catalog, id);
  const targets = [...new Set(to)].filter((target) => target !== id && catalog.working.products.has(target));
  const fields = Object.assign({}, ...parts.map((part) => partFields[part](product))) as Partial<ProductFields>;
  const notItself = (relation: Relation, target: string): Relation =>
    relation.how === 'picked' ? { how: 'picked', ids: relation.ids.filter((other) => other !== target) } : relation;
  catalog.journal.change(
    `Copied parts of “${product.title}” to ${targets.length} products`,
    catalog.actor(user),
    () => {
      for (const target of targets) {
        const own = { ...fields };
        for (const kind of relationKinds) if (own[kind]) own[kind] = notItself(own[kind], target);
        updateProduct(catalog.db, target, own);
        if (!parts.includes('belongs')) continue;
        setProductCategories(catalog.db, target, product.categoryIds);
        setProductTags(catalog.db, target, product.tagIds);
      }
    },
  );
  return targets.length;
}

/** Makes another product lead to this one too, as the first of its picked ones if it has some. */
export function relateBack(catalog: Catalog, user: UserId, id: string, kind: RelationKind, to: string): void {
  const product = productOrRefuse(catalog, id);
  const other = productOrRefuse(catalog, to);
  const relation = other.relations[kind];
  const ids = relation.how === 'picked' ? relation.ids : [];
  if (ids.includes(id)) return;
  if (id === to) throw invalidField(['to'], 'A product cannot stand beside itself.');
  if (ids.length >= 24) throw invalidField(['to'], `“${other.title}” has 24 products there already.`);
  catalog.journal.change(`Let “${other.title}” lead to “${product.title}”`, catalog.actor(user), () =>
    updateProduct(catalog.db, to, { [kind]: { how: 'picked', ids: [...ids, id] } }),
  );
}

export function removeProduct(catalog: Catalog, user: UserId, id: string): void {
  const product = productOrRefuse(catalog, id);
  catalog.journal.change(`Deleted “${product.title}”`, catalog.actor(user), () => deleteProduct(catalog.db, id));
}
