import sharp from 'sharp';
import type { Catalog } from '../server/state/catalog';
import { storePicture } from '../server/media/picture-store';
import { demoMaker } from '../server/people/demo-person';
import { newId } from '../server/shared/ids';
import { hashPassword } from '../server/shared/passwords';
import { insertUser } from '../server/store/people';
import { addGoods, addSupplier, changeSupplier, setSupply } from '../server/suppliers/commands';
import { propose } from '../server/suppliers/maker-proposals';
import { mainGoodsOf, shopDay } from '../server/suppliers/queries';
import { paletteOf } from './pictures/palette';
import { drawPicture } from './pictures/scene';

const DAY = 86_400_000;

const known = [
  {
    name: 'Harbour Cloth Works',
    contact: 'Mara Pell',
    email: 'orders@harbourcloth.example',
    phone: '+31 20 555 0142',
    address: 'Ropewalk 7\n1011 Harbourtown',
    accountNumber: 'LL-204',
    deliveryDays: 12,
    smallestOrder: 25_000,
    note: 'Closed in the first two weeks of August. Likes orders by mail, before noon.',
  },
  {
    name: 'Northern Rods',
    contact: 'Ivo Sand',
    email: 'ivo@northernrods.example',
    phone: '',
    address: 'Fell Road 31\n8001 Northmoor',
    accountNumber: '7731',
    deliveryDays: 21,
    smallestOrder: 40_000,
    note: 'Ships on Thursdays.',
  },
];

/** Suppliers of the demo shop, and somebody of one of them who proposes changes. */
export async function putSuppliers(catalog: Catalog, userId: string): Promise<void> {
  const { db } = catalog;
  const day = (ahead: number) => new Date(catalog.clock().getTime() + ahead * DAY).toISOString().slice(0, 10);
  const ids = known.map(({ name, ...details }) => {
    const id = addSupplier(catalog, userId, name);
    changeSupplier(catalog, userId, id, details);
    return id;
  });
  const [cloth] = ids as [string, string];
  const goods = known.map((supplier) => mainGoodsOf(catalog, supplier).sort((a, b) => a.title.localeCompare(b.title)));
  const [own, theirs] = goods as [(typeof goods)[number], (typeof goods)[number]];
  // What the cloth works ask from next month on; and rods that the one has as well as the other.
  for (const product of own.slice(0, 4))
    for (const { id, cost, supplierNumber } of product.variants)
      if (cost !== null)
        setSupply(catalog, userId, cloth, id, {
          number: supplierNumber,
          costs: [{ from: day(30), cost: Math.round(cost * 1.06) }],
        });
  const shared = theirs.slice(0, 2);
  addGoods(catalog, userId, cloth, { productIds: shared.map(({ id }) => id), main: false });
  for (const { variants } of shared)
    for (const { id, cost } of variants)
      if (cost !== null)
        setSupply(catalog, userId, cloth, id, {
          number: '',
          costs: [{ from: shopDay(catalog), cost: Math.round(cost * 0.97) }],
        });

  const maker = { id: newId('user'), name: 'Mara Pell', email: demoMaker.email, languages: ['de'], suppliers: [cloth] };
  insertUser(db, { ...maker, role: 'helper', password: await hashPassword(demoMaker.password) });
  const session = { ...maker, userId: maker.id, role: 'helper' as const, csrf: '', used: '' };
  const [first, second] = own.filter(({ status, pictures }) => status === 'live' && pictures.length > 0);
  if (!first || !second) return;
  const dearer = (variants: typeof first.variants) =>
    Object.fromEntries(
      variants.flatMap(({ id, cost }) => (cost === null ? [] : [[id, { cost: Math.round(cost * 1.08) }]])),
    );
  propose(catalog, session, {
    productId: first.id,
    supplierId: cloth,
    product: { summary: `${first.summary} Now sewn with a double hem.`.trim() },
    variants: dearer(first.variants.slice(0, 2)),
    note: 'The new hem costs us a little more. Samples are in the next parcel.',
  });
  propose(catalog, session, {
    productId: second.id,
    supplierId: cloth,
    texts: { de: { summary: 'Leicht, leise und schnell aufgebaut.' } },
    note: '',
  });
  const svg = drawPicture({
    shape: 'delta',
    palette: paletteOf('Sea'),
    scene: 'sky',
    width: 1200,
    height: 1200,
    seed: 77,
    scale: 0.9,
    turn: -8,
  });
  const png = await sharp(Buffer.from(svg)).png({ compressionLevel: 1 }).toBuffer();
  const picture = await storePicture(db, catalog.mediaFolder, png, 'kittiwake.png', catalog.clock().toISOString());
  propose(catalog, session, {
    productId: null,
    supplierId: cloth,
    product: {
      title: 'Kittiwake delta 160',
      summary: 'A small delta for days when the trees hardly move.',
      description:
        '<p>Cut from the lightest cloth we have. It stands in two beaufort and folds into a coat pocket.</p>',
    },
    variants: { new: { price: 4900, cost: 2150 } },
    pictures: [picture],
    note: 'Forty could be with you by the end of the month.',
  });
}
