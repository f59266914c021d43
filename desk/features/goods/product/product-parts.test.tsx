/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRoutes } from 'react-router';
import { addProduct, startServer } from '../../../../server/testing/harness';
import { choose, complete, draw, retype } from '../../../testing/desk';
import { holdAnswers, onServer } from '../../../testing/real-fetch';
import { ProductPage } from './product-page';

let [kite, reel, line]: string[] = [];
const server = onServer(async () => {
  const made = await startServer();
  for (const [title, price] of [
    ['Harrier delta', 6_400],
    ['Winding reel', 1_200],
    ['Flying line', 900],
  ] as const) {
    const { product } = await addProduct(made, title, price);
    [kite, reel, line] = [kite, reel, line, product.id].filter(Boolean);
  }
  return made;
});
const product = (id: string) => server().catalog.working.products.get(id)!;
const patch = (id: string, fields: object) =>
  server().call('PATCH', `/api/products/${id}`, { seen: Number.MAX_SAFE_INTEGER, fields });

function Screen() {
  return useRoutes([{ path: '/goods/:id', element: <ProductPage /> }]);
}
const open = async (id: string) => {
  draw(<Screen />, `/goods/${id}`);
  await screen.findByRole('heading', { level: 1 });
};
const part = (title: string) => screen.getByRole('region', { name: title });

describe('where a product belongs', () => {
  test('a category is made below another, and the second one becomes the main one', async () => {
    const top = await server().call<{ id: string }>('POST', '/api/categories', { name: 'Kites', parentId: null });
    await patch(kite!, { categoryIds: [top.body.id] });
    await open(kite!);
    await complete('Add a category', 'Deltas', 'New category');
    await choose('Put it', ' in Kites'.trim());
    await userEvent.click(screen.getByRole('button', { name: 'Make it' }));
    await waitFor(() => expect(product(kite!).categoryIds).toHaveLength(2));
    const [, deltas] = product(kite!).categoryIds;
    expect(server().catalog.working.shop.categories.get(deltas!)).toMatchObject({
      name: 'Deltas',
      parentId: top.body.id,
    });
    await userEvent.click(await screen.findByRole('button', { name: 'make it main' }));
    await waitFor(() => expect(product(kite!).categoryIds).toEqual([deltas, top.body.id]));
    await userEvent.click(await screen.findByRole('button', { name: 'Remove Deltas' }));
    await waitFor(() => expect(product(kite!).categoryIds).toEqual([top.body.id]));
  });

  test('a category whose making is left is not made', async () => {
    await open(kite!);
    await complete('Add a category', 'Boxes', 'New category');
    await userEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(screen.queryByRole('button', { name: 'Make it' })).toBeNull();
    const { categories } = server().catalog.working.shop;
    expect([...categories.values()].map(({ name }) => name)).not.toContain('Boxes');
  });

  test('a tag and a brand are made where they are needed, and taken off again', async () => {
    await open(kite!);
    await complete('Add a tag', 'light wind', 'New tag');
    await complete('Choose a brand', 'Lark & Line', 'New brand');
    await waitFor(() => expect(product(kite!).brandId).not.toBeNull());
    await waitFor(() => expect(product(kite!).tagIds).toHaveLength(1));
    await userEvent.click(await screen.findByRole('button', { name: 'Remove light wind' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Remove Lark & Line' }));
    await waitFor(() => expect([product(kite!).tagIds, product(kite!).brandId]).toEqual([[], null]));
  });
});

test('tags that are made while earlier ones are still on their way are all kept', async () => {
  await open(line!);
  const field = await screen.findByRole('combobox', { name: 'Add a tag' });
  const release = holdAnswers();
  await userEvent.type(field, 'braided{Enter}');
  await userEvent.type(field, 'strong{Enter}');
  release();
  await waitFor(() => expect(product(line!).tagIds).toHaveLength(2));
});

describe('how a product is told', () => {
  test('a spec sheet is made, filled in with any unit, and what is no number waits at its field', async () => {
    await open(kite!);
    await complete('Choose a spec sheet', 'Single-line kite', 'New sheet');
    const editor = await screen.findByRole('dialog', { name: 'Spec sheet' });
    await userEvent.click(within(editor).getByRole('button', { name: 'Add an attribute' }));
    await userEvent.type(within(editor).getByLabelText('Name of attribute 1'), 'Wingspan');
    await choose('Type of Wingspan', 'Number');
    await userEvent.type(within(editor).getByLabelText('Unit of Wingspan'), 'cm');
    await userEvent.click(within(editor).getByLabelText('Must be filled in'));
    await userEvent.click(within(editor).getByRole('button', { name: 'Add an attribute' }));
    await userEvent.type(within(editor).getByLabelText('Name of attribute 2'), 'Cloth');
    await choose('Type of Cloth', 'One choice');
    await userEvent.type(within(editor).getByLabelText('Choices of Cloth'), 'ripstop, paper');
    await userEvent.click(within(editor).getByRole('button', { name: 'Save the sheet' }));
    await screen.findByRole('region', { name: 'Specs' });
    expect(await within(part('Specs')).findByText('needed')).toBeTruthy();
    await userEvent.type(within(part('Specs')).getByLabelText('Wingspan'), '1.8 m');
    await userEvent.selectOptions(within(part('Specs')).getByLabelText('Cloth'), 'paper');
    await waitFor(() => expect(Object.values(product(kite!).specs)).toContain(180_000));
    await waitFor(() => expect(Object.values(product(kite!).specs)).toHaveLength(2));
    expect(within(part('Specs')).queryByText('needed')).toBeNull();
    await retype(within(part('Specs')).getByLabelText('Wingspan'), 'wide');
    expect(await within(part('Specs')).findByRole('alert')).toBeTruthy();
    expect(Object.values(product(kite!).specs)).not.toContain('wide');
  });

  test('a field of this product alone is added, filled in and removed', async () => {
    await open(reel!);
    await userEvent.type(screen.getByLabelText('New field of this product alone'), 'Wound by{Enter}');
    await userEvent.type(await screen.findByLabelText('Wound by'), 'hand');
    await waitFor(() => expect(product(reel!).customFields).toEqual([{ label: 'Wound by', value: 'hand' }]));
    await userEvent.click(screen.getByRole('button', { name: 'Remove Wound by' }));
    await waitFor(() => expect(product(reel!).customFields).toEqual([]));
  });

  test('what search engines are told is shown, and cut where there is no room', async () => {
    await open(reel!);
    const title = screen.getByLabelText('Meta title');
    await userEvent.type(title, 'A reel that winds fast and holds tight while the wind pulls at both of its ends');
    expect(await within(part('In search engines')).findByText('too wide: the end is cut off')).toBeTruthy();
    await userEvent.click(screen.getByLabelText('Keep out of search engines'));
    expect(screen.getByText('Search engines are told to leave this page out.')).toBeTruthy();
    await waitFor(() => expect(product(reel!)).toMatchObject({ noindex: true }));
    expect(product(reel!).metaTitle).toMatch(/^A reel/);
  });

  test('goods that go with it are picked by name, put in order, and lead back when asked', async () => {
    await open(kite!);
    await choose('Goes with', 'picked by hand');
    await complete('Add a product', 'Winding', 'Winding reel');
    await complete('Add a product', 'Flying', 'Flying line');
    await waitFor(() => expect(product(kite!).relations.goesWith).toEqual({ how: 'picked', ids: [reel, line] }));
    await userEvent.click(screen.getAllByRole('button', { name: 'and back' })[0]!);
    await waitFor(() => expect(product(reel!).relations.goesWith).toEqual({ how: 'picked', ids: [kite] }));
    await userEvent.click(screen.getByRole('button', { name: 'Remove Winding reel' }));
    await waitFor(() => expect(product(kite!).relations.goesWith).toEqual({ how: 'picked', ids: [line] }));
  });
});

describe('what it costs and how it comes', () => {
  test('less per piece for more pieces; a price typed where a percentage belongs is not taken for one', async () => {
    await open(line!);
    await userEvent.click(screen.getByRole('button', { name: 'Less per piece for more pieces' }));
    await userEvent.click(await screen.findByRole('button', { name: 'One more' }));
    await waitFor(() =>
      expect(product(line!).quantityPrices).toEqual([
        { from: 2, off: 500 },
        { from: 4, off: 1_000 },
      ]),
    );
    expect(screen.getByText('€8.10 each')).toBeTruthy();
    const second = screen.getByLabelText('Reduction of quantity price 2');
    await retype(second, '7.50');
    expect(await within(part('Price & stock')).findByText(/how much comes off in percent/)).toBeTruthy();
    await retype(second, '15 %');
    await waitFor(() => expect(product(line!).quantityPrices[1]!.off).toBe(1_500));
    await userEvent.click(screen.getByRole('button', { name: 'Remove quantity price 1' }));
    await waitFor(() => expect(product(line!).quantityPrices).toEqual([{ from: 4, off: 1_500 }]));
  });

  test('what shoppers read when it can be ordered though sold out is asked for only then', async () => {
    await open(line!);
    expect(screen.queryByLabelText('What shoppers then read')).toBeNull();
    await choose('When sold out', 'Let it be ordered');
    await userEvent.type(await screen.findByLabelText('What shoppers then read'), 'Back in two weeks');
    await choose('Unit price', 'per 100 m');
    await waitFor(() =>
      expect(product(line!)).toMatchObject({ whenSoldOut: 'order', orderDelay: 'Back in two weeks' }),
    );
    await waitFor(() => expect(product(line!).unitPricing).not.toBeNull());
  });

  test('a weight and a size are read with their units, and what cannot be is said', async () => {
    await open(reel!);
    await userEvent.type(screen.getByLabelText('Weight'), '1.2 kg');
    await userEvent.type(screen.getByLabelText('Package size'), '35 x 12 x 4 cm');
    await waitFor(() => expect(product(reel!).weight).toBe(1_200));
    await waitFor(() => expect(product(reel!).size).not.toBeNull());
    await userEvent.type(screen.getByLabelText('Weight'), ' or so');
    expect(await screen.findByText('Type a weight, like 350 g or 1.2 kg.')).toBeTruthy();
    expect(product(reel!).weight).toBe(1_200);
  });

  test('stock moves with a reason, and all that moved is told; one that cannot be is refused at its field', async () => {
    await open(reel!);
    await userEvent.click(screen.getByRole('button', { name: 'Stock moved…' }));
    const dialog = await screen.findByRole('dialog', { name: 'Stock of Winding reel' });
    expect(await within(dialog).findByText('No stock has moved yet.')).toBeTruthy();
    const pieces = within(dialog).getByLabelText('Pieces, Winding reel');
    await choose('What happened', 'Stock take');
    await userEvent.type(pieces, '12');
    await userEvent.type(within(dialog).getByLabelText('Note'), 'delivery 7');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(product(reel!).variants[0]!.stock).toBe(12));
    expect(await within(dialog).findByText(/delivery 7/)).toBeTruthy();
    await choose('What happened', 'Damaged or lost');
    await userEvent.type(pieces, '20');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Note it' }));
    expect(await within(dialog).findByRole('alert')).toBeTruthy();
    expect(product(reel!).variants[0]!.stock).toBe(12);
    await retype(pieces, '3');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(product(reel!).variants[0]!.stock).toBe(9));
  });
});

describe('what only some kinds have', () => {
  test('a bundle is put together, tells what runs out first, and names what does not fit', async () => {
    const set = await addProduct(server(), 'First kite', 5_000);
    const { id } = set.product;
    await patch(id, { kind: 'bundle' });
    await open(id);
    expect(screen.getByText('Add a slot for each thing that is in it.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Slot' }));
    await complete('Add a product', 'Winding', 'Winding reel');
    await retype(await screen.findByLabelText('Name of slot Part 1'), 'Reel');
    await waitFor(() => expect(product(id).bundle?.slots).toMatchObject([{ label: 'Reel', from: { ids: [reel] } }]));
    await retype(screen.getByLabelText('Fewest pieces of Reel'), '2');
    expect(await screen.findAllByText(/the most cannot be below the fewest/)).not.toHaveLength(0);
    await retype(screen.getByLabelText('Most pieces of Reel'), '2');
    expect(await screen.findByText(/Can be made/)).toBeTruthy();
    await waitFor(() => expect(product(id).bundle!.slots[0]).toMatchObject({ min: 2, max: 2 }));
    await choose('How the bundle is priced', 'its parts');
    await retype(await screen.findByLabelText('Percentage off the parts'), '25 %');
    await waitFor(() => expect(product(id).bundle!.pricing).toEqual({ how: 'parts', off: 2_500 }));
    expect(await screen.findByText('€18.00')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Remove slot Reel' }));
    await waitFor(() => expect(product(id).bundle!.slots).toEqual([]));
  });

  test('a service has a length, a gift card values of the shopper’s own; changing the kind says what is lost', async () => {
    const course = await addProduct(server(), 'Flying lesson', 5_000);
    const { id } = course.product;
    await patch(id, { kind: 'service' });
    await open(id);
    await userEvent.type(await screen.findByLabelText('How long it takes'), '2 h 30');
    await waitFor(() => expect(product(id).duration).toBe(150));
    await choose('Kind', 'A gift card');
    const asked = await screen.findByRole('dialog');
    expect(product(id).kind).toBe('service');
    await userEvent.click(within(asked).getByRole('button', { name: 'Change the kind' }));
    await userEvent.click(await screen.findByLabelText('Shoppers may choose the value'));
    await retype(await screen.findByLabelText('Up to'), '150');
    await waitFor(() => expect(product(id).ownValue).toEqual({ from: 1_000, upTo: 15_000 }));
  });

  test('a file is named, limited and removed', async () => {
    const plan = await addProduct(server(), 'Building plan', 500);
    const { id } = plan.product;
    await patch(id, { kind: 'digital' });
    const form = new FormData();
    form.append('files', new File(['%PDF-1.4 a plan'], 'delta.pdf', { type: 'application/pdf' }));
    await server().call('POST', `/api/products/${id}/files?role=download`, form);
    await open(id);
    await retype(await screen.findByLabelText('Name of delta.pdf'), 'Plan of the delta');
    await waitFor(() => expect(product(id).files.map(({ name }) => name)).toEqual(['Plan of the delta']));
    await userEvent.type(screen.getByLabelText('How often each can be fetched'), '3');
    await waitFor(() => expect(product(id).downloadLimit).toBe(3));
    await userEvent.click(screen.getByRole('button', { name: 'Remove Plan of the delta' }));
    await waitFor(() => expect(product(id).files).toEqual([]));
  });
});

test('a whole column is set at once, with every old and new value in view before', async () => {
  const made = await addProduct(server(), 'Parafoil', 4_000);
  const { id } = made.product;
  const value = (name: string) => ({ id: null, name, swatch: null, pictureId: null });
  await server().call('PUT', `/api/products/${id}/options`, {
    seen: Number.MAX_SAFE_INTEGER,
    options: [{ id: null, name: 'Size', listId: null, values: ['S', 'M'].map(value) }],
    confirmed: true,
  });
  await open(id);
  await userEvent.click(screen.getByRole('button', { name: 'Set a column…' }));
  const dialog = await screen.findByRole('dialog', { name: 'Set a column' });
  const becomes = within(dialog).getByLabelText('Becomes');
  await userEvent.type(becomes, 'more');
  expect(within(dialog).getByText('Type +5 %, -2, =cost*2.4, or an amount.')).toBeTruthy();
  await retype(becomes, '+5 %');
  await choose('Rounded', 'to .90');
  expect(within(dialog).getAllByText('41.90')).toHaveLength(2);
  await userEvent.click(within(dialog).getByRole('button', { name: 'Set 2' }));
  await waitFor(() => expect(product(id).variants.map(({ price }) => price)).toEqual([4_190, 4_190]));
  await userEvent.click(screen.getByRole('button', { name: 'Set a column…' }));
  await choose('Column', 'SKU');
  await userEvent.type(screen.getByLabelText('Becomes'), 'PF-{{size}');
  await userEvent.click(screen.getByRole('button', { name: 'Set 2' }));
  await waitFor(() => expect(product(id).variants.map(({ sku }) => sku)).toEqual(['PF-S', 'PF-M']));
});
