import type { ProductDocument, ShopDocument } from '../model/document';
import { namesOf, type Fields } from '../model/fields';
import { productFields, relationFields } from '../model/product-fields';
import { variantFields } from '../model/variant-fields';
import { ResolvedShop } from '../shop/resolved-shop';
import { groupFields } from '../model/group-fields';
import type { GroupKind } from '../shop/open-groups';
import { ANY_ID, valueOf } from '../testing/field-values';
import { collectionOf, groupDocuments, kiteSheet, NOW, productOf } from '../testing/shop';
import { documentChange } from './difference';
import { documentBody, documentText } from './document-text';

const options = [{ id: 'o_1', name: 'Size', values: [{ id: ANY_ID, name: 'S', swatch: null, pictureId: null }] }];
const picture = {
  id: ANY_ID,
  media: 'm',
  width: 10,
  height: 10,
  alt: '',
  focus: { x: 0, y: 0 },
  fit: 'fills' as const,
  background: '#ffffff',
};
/** A product in which every field means something. */
const kite = productOf('p_kite', {
  featured: true,
  whenSoldOut: 'order',
  specSheetId: kiteSheet.id,
  options,
  pictures: [picture],
});
/** One thing of each kind that a field can name. */
const named: ShopDocument[] = groupDocuments.flatMap((document) =>
  ['t_night', 'b_tern', 'c_line'].includes(document.key)
    ? [{ ...document, key: ANY_ID, body: { ...document.body, id: ANY_ID } } as ShopDocument]
    : [],
);
function shopWith(product: ProductDocument): ResolvedShop {
  const shop = new ResolvedShop({ stock: () => null, sales: () => [], now: NOW });
  const products = [product, productOf(ANY_ID, { title: 'Tern' })];
  const documents = products.map((body): ShopDocument => ({ kind: 'product', key: body.id, body }));
  shop.load([...groupDocuments, ...named, ...documents]);
  return shop;
}
const bodyOf = (product: object) =>
  documentBody('product', documentText({ kind: 'product', key: 'p_kite', body: product as ProductDocument }));
const told = (after: ProductDocument) => documentChange(shopWith(kite), shopWith(after), 'product', 'p_kite')!.fields;

const isOfSeller = (fields: Fields, name: string) => fields[name]!.audience === 'seller';

/** What the review tells by what follows from it. */
const toldElsewhere = new Set(['specSheetId', 'status']);

test.each(namesOf(productFields))(
  '%s of a product is in an edition, and its change is told, or it is the seller’s',
  (name) => {
    const after = { ...kite, [name]: name === 'featured' ? false : valueOf(name, productFields[name]) };
    expect(name in bodyOf(after)).toBe(!isOfSeller(productFields, name));
    if (isOfSeller(productFields, name) || toldElsewhere.has(name)) return;
    expect(told(after)).not.toEqual([]);
  },
);

test.each(namesOf(relationFields))('%s of a product is in an edition, and its change is told', (name) => {
  const after = { ...kite, relations: { ...kite.relations, [name]: valueOf(name, relationFields[name]) } };
  expect((bodyOf(after) as ProductDocument).relations).toEqual(after.relations);
  expect(told(after)).not.toEqual([]);
});

test.each(namesOf(variantFields))(
  '%s of a variant is in an edition, and its change is told, or it is the seller’s',
  (name) => {
    const after = { ...kite, variants: [{ ...kite.variants[0]!, [name]: valueOf(name, variantFields[name]) }] };
    const [variant] = (bodyOf(after) as ProductDocument).variants;
    expect(name in variant!).toBe(!isOfSeller(variantFields, name));
    if (!isOfSeller(variantFields, name)) expect(told(after)).not.toEqual([]);
  },
);

const groupBody: Record<GroupKind, object> = {
  category: groupDocuments.find(({ kind }) => kind === 'category')!.body,
  collection: collectionOf('k_1', {}),
  brand: groupDocuments.find(({ kind }) => kind === 'brand')!.body,
  tag: groupDocuments.find(({ kind }) => kind === 'tag')!.body,
};
/** What the review tells of where goods stand, not of the group. */
const toldByPlaces = new Set(['position', 'picked']);

describe.each(Object.keys(groupFields) as GroupKind[])('%s', (kind) => {
  const before = groupBody[kind] as { id: string };
  const shopOfGroup = (body: object) => {
    const others = [
      { ...groupDocuments[0]!, key: ANY_ID, body: { ...groupDocuments[0]!.body, id: ANY_ID, slug: 'any' } },
    ];
    const shop = new ResolvedShop({ stock: () => null, sales: () => [], now: NOW });
    shop.load([...groupDocuments, ...others, { kind, key: before.id, body } as ShopDocument] as ShopDocument[]);
    return shop;
  };

  test.each(namesOf<Fields>(groupFields[kind]))('%s is in an edition and its change told, or the seller’s', (name) => {
    const after = { ...before, [name]: valueOf(name, groupFields[kind][name as keyof object]) };
    const document = { kind, key: before.id, body: after } as ShopDocument;
    expect(documentBody(kind, documentText(document))).toEqual(isOfSeller(groupFields[kind], name) ? before : after);
    if (isOfSeller(groupFields[kind], name) || toldByPlaces.has(name)) return;
    expect(documentChange(shopOfGroup(before), shopOfGroup(after), kind, before.id)!.fields).not.toEqual([]);
  });

  test('what nobody declared is in no edition', () => {
    const document = { kind, key: before.id, body: { ...before, secret: 'a note' } } as object as ShopDocument;
    expect(documentText(document)).not.toContain('secret');
  });
});

test('what nobody declared is in no edition', () => {
  const [variant] = kite.variants;
  const text = documentText({
    kind: 'product',
    key: 'p_kite',
    body: {
      ...kite,
      secret: 'a note',
      options: [{ ...options[0]!, secret: 'a note' }],
      pictures: [{ ...picture, secret: 'a note' }],
      variants: [{ ...variant!, secret: 'a note' }],
    } as object as ProductDocument,
  });
  expect(text).not.toContain('secret');
});
