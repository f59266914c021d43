import { namesOf, usualValues, type Field, type Fields, type SellersOwn } from '../model/fields';
import { productFields } from '../model/product-fields';
import { pictureSchema } from '../model/product-values';
import { variantFields, type VariantFields } from '../model/variant-fields';
import { optionDocumentKeys, type DocumentKind, type ProductDocument, type ShopDocument } from '../model/document';
import { categoryDefaults, collectionDefaults, namedDefaults } from '../model/group';
import { categoryFields, collectionFields, groupFields, namedFields } from '../model/group-fields';
import { orderOfText, orderText, type Order } from '../model/order';
import { productDefaults, variantDefaults, type Product, type Variant } from '../model/product';
import { leanMenu, wholeMenu, type Menu } from '../model/menu';
import { leanPage, wholePage, type Page } from '../model/page';
import { leanSettings, settingsOf, type Settings } from '../model/settings';
import { canonicalJson, listText, ObjectForm } from '../shared/canonical-json';

const isPublished = ({ audience }: Field) => audience !== 'seller';
const publishedOf = <F extends Fields>(fields: F) => namesOf(fields, isPublished);
const usualOf = <T extends object>(defaults: T, published: readonly string[]): Partial<T> =>
  Object.fromEntries(Object.entries(defaults).filter(([name]) => published.includes(name))) as Partial<T>;

/** What an edition holds of a product and of its variants: what is not named here is published by nobody. */
const productKeys = [
  ...(['id', 'created', 'options', 'variants', 'pictures', 'relations'] satisfies (keyof Product)[]),
  ...publishedOf(productFields),
];
const variantKeys = [...(['id', 'values'] satisfies (keyof Variant)[]), ...publishedOf(variantFields)];
const pictureKeys = Object.keys(pictureSchema.shape);

const usualProduct = usualOf(productDefaults, productKeys) as typeof productDefaults;
const usualVariant = usualOf(variantDefaults, variantKeys) as Omit<typeof variantDefaults, SellersOwn<VariantFields>>;
const usualOptionValue = { pictureId: null };
const usualPicture = { fit: 'fills' as const, background: '#ffffff' };
/** Fields that a document leaves out while they are as usual. */
export const documentDefaults = { product: usualProduct, variant: usualVariant };

/** What an edition holds of a group. Orders are written as their names, as they were before any others could be chosen. */
const groupDefaults = {
  category: usualGroup(categoryFields, categoryDefaults),
  collection: usualGroup(collectionFields, collectionDefaults),
  brand: usualGroup(namedFields, namedDefaults),
  tag: usualGroup(namedFields, namedDefaults),
};

function usualGroup<T extends object>(fields: Fields, defaults: T) {
  const { order, ...usual } = usualOf(defaults, publishedOf(fields)) as Partial<T> & { order?: Order };
  return { ...usual, ...(order && { sort: orderText(order) }) };
}

const groupForm = (kind: keyof typeof groupDefaults) =>
  new ObjectForm({ only: ['id', 'sort', ...publishedOf(groupFields[kind])], usual: groupDefaults[kind] });
const groupForms = {
  category: groupForm('category'),
  collection: groupForm('collection'),
  brand: groupForm('brand'),
  tag: groupForm('tag'),
};
const isGroup = (kind: DocumentKind): kind is keyof typeof groupDefaults => kind in groupDefaults;

function groupText(kind: keyof typeof groupDefaults, body: object & { order?: Order }): string {
  const { order, ...rest } = body;
  return groupForms[kind].text({ ...rest, ...(order && { sort: orderText(order) }) });
}

function groupBody(kind: keyof typeof groupDefaults, text: string): ShopDocument['body'] {
  // What only the seller knows is not in it, and is as usual.
  const usual = { ...usualValues<Fields>(groupFields[kind]), ...groupDefaults[kind] };
  const { sort, ...body } = { ...usual, ...(JSON.parse(text) as object) } as { sort?: string };
  return { ...body, ...(sort !== undefined && { order: orderOfText(sort) }) } as ShopDocument['body'];
}

/**
 * The text of a document. What stands at its default is left out, so that a document keeps its text, and its hash, when
 * products learn new fields.
 */
export function documentText(document: ShopDocument): string {
  if (isGroup(document.kind)) return groupText(document.kind, document.body);
  if (document.kind === 'page') return canonicalJson(leanPage(document.body));
  if (document.kind === 'menu') return canonicalJson(leanMenu(document.body));
  if (document.kind === 'settings') return canonicalJson(leanSettings(document.body));
  if (document.kind !== 'product') return canonicalJson(document.body);
  const { options, variants, pictures } = document.body;
  return forms.product.text(document.body, {
    options: listText(options, (option) => {
      const values = listText(option.values, (value) => forms.optionValue.text(value));
      return forms.option.text(option, { values });
    }),
    variants: listText(variants, (variant) => forms.variant.text(variant)),
    pictures: listText(pictures, (picture) =>
      (picture.fit === 'fits' ? forms.picture : forms.filledPicture).text(picture),
    ),
  });
}

const forms = {
  product: new ObjectForm({ only: productKeys, usual: usualProduct }),
  option: new ObjectForm({ only: optionDocumentKeys }),
  optionValue: new ObjectForm({ usual: usualOptionValue }),
  variant: new ObjectForm({ only: variantKeys, usual: usualVariant }),
  picture: new ObjectForm({ only: pictureKeys }),
  // The background is seen only behind a picture that does not fill its frame.
  filledPicture: new ObjectForm({ only: pictureKeys.filter((key) => key !== 'fit' && key !== 'background') }),
};

/** The body that `documentText` wrote. */
export function documentBody(kind: DocumentKind, text: string): ShopDocument['body'] {
  if (isGroup(kind)) return groupBody(kind, text);
  const body = JSON.parse(text) as ShopDocument['body'];
  if (kind === 'settings') return settingsOf(body as Settings);
  if (kind === 'page') return wholePage(body as Page);
  if (kind === 'menu') return wholeMenu(body as Menu);
  if (kind !== 'product') return body;
  const product = body as ProductDocument;
  return {
    ...usualProduct,
    ...product,
    options: product.options.map((option) => ({
      ...option,
      values: option.values.map((value) => ({ ...usualOptionValue, ...value })),
    })),
    variants: product.variants.map((variant) => ({ ...usualVariant, ...variant })),
    pictures: product.pictures.map((picture) => ({ ...usualPicture, ...picture })),
  };
}
