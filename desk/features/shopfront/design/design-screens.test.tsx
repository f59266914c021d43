/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { cardParts } from '../../../../core/model/card-choices';
import { startShop } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { useSettings } from '../../../data/shopfront';
import { DesignPage } from './design-page';

const server = onServer(() => startShop({ Avocet: 1_000, Bittern: 2_000, Curlew: 3_000 }));
const saved = () => server().catalog.working.shop.settings;

function Page() {
  const { data } = useSettings();
  return data ? <DesignPage settings={data} /> : null;
}
const open = async (part: string, heading: string) => {
  draw(<Page />, `/shopfront?view=look&part=${part}`);
  await screen.findByRole('heading', { name: heading });
};
const button = (group: string, name: string) =>
  within(screen.getByRole('group', { name: group })).getByRole('button', { name });

describe('cards', () => {
  test('a part is put on and taken off, and keeps its place among the others', async () => {
    await open('cards', 'Parts of a card');
    await userEvent.click(screen.getByLabelText('Stock'));
    await waitFor(() => expect(saved().cards.parts).toContain('stock'));
    await userEvent.click(screen.getByLabelText('Brand'));
    await waitFor(() => expect(saved().cards.parts).not.toContain('brand'));
    await userEvent.click(screen.getByLabelText('Brand'));
    await waitFor(() => expect(saved().cards.parts).toContain('brand'));
    await userEvent.click(button('Shape of product pictures, everywhere in the shop', 'portrait'));
    await waitFor(() => expect(saved().cards.frame).toBe('portrait'));
  });

  test('a badge is added and worded; while its words are missing, everything else is still saved', async () => {
    await open('cards', 'Badges');
    await userEvent.click(screen.getByRole('button', { name: /Add a badge/ }));
    await waitFor(() => expect(saved().cards.badges).toHaveLength(3));
    const words = screen.getAllByLabelText('Words')[2]!;
    await userEvent.clear(words);
    expect(screen.getByRole('alert').textContent).toBe('A badge needs words.');
    await userEvent.click(screen.getByLabelText(/A second picture/));
    await waitFor(() => expect(saved().cards.second).toBe(true));
    await userEvent.type(words, 'Just in');
    await waitFor(() => expect(saved().cards.badges[2]).toMatchObject({ kind: 'new', words: 'Just in' }));
    await userEvent.click(screen.getByRole('button', { name: 'Remove badge 1' }));
    await waitFor(() => expect(saved().cards.badges.map(({ kind }) => kind)).toEqual(['reduced', 'new']));
  });

  test('a card that would show nothing is refused where its parts stand', async () => {
    await open('cards', 'Parts of a card');
    for (const part of Object.values(cardParts)) {
      const tick = screen.getByLabelText<HTMLInputElement>(part);
      if (tick.checked) await userEvent.click(tick);
    }
    expect((await screen.findAllByText('A card shows something.')).length).toBe(1);
    expect(saved().cards.parts.length).toBeGreaterThan(0);
  });
});

describe('listings', () => {
  test('filters are hidden and ordered by how well they divide, with the figure beside each', async () => {
    const [first] = [...server().catalog.working.shop.products.keys()];
    const brand = await server().call<{ id: string }>('POST', '/api/brands', { name: 'Tern' });
    await server().call('PATCH', `/api/products/${first}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { brandId: brand.body.id },
    });
    await open('listings', 'Filters');
    expect(await screen.findByText('3.0× fewer')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Put the most useful first' }));
    await waitFor(() => expect(saved().listings.filters[0]?.key).toBe('price'));
    await userEvent.click(screen.getByLabelText('Brand'));
    await waitFor(() => expect(saved().listings.filters.find(({ key }) => key === 'brand')?.shown).toBe(false));
  });

  test('goods per page are read as a number, and shoppers keep one order at least', async () => {
    await open('listings', 'Sort orders');
    const perPage = screen.getByLabelText('Goods per page');
    await userEvent.clear(perPage);
    await userEvent.type(perPage, '3');
    expect(screen.getByRole('alert').textContent).toBe('At least eight.');
    await userEvent.clear(perPage);
    await userEvent.type(perPage, '36');
    await waitFor(() => expect(saved().listings.perPage).toBe(36));
    await userEvent.click(screen.getByLabelText('Newest'));
    await waitFor(() => expect(saved().listings.sorts).not.toContain('newest'));
  });

  test('one group differs in what is changed for it, and goes back to what all have', async () => {
    const { body } = await server().call<{ id: string }>('POST', '/api/categories', { name: 'Kites' });
    await open('listings', 'Goods on the page');
    const field = screen.getByRole('combobox', { name: 'Different for one group' });
    await userEvent.type(field, 'Kites');
    await userEvent.click(await screen.findByRole('option', { name: /Kites/ }));
    expect(await screen.findByText(/holds for Kites alone/)).toBeTruthy();
    await userEvent.click(button('Columns', '2'));
    await waitFor(() => expect(saved().listings.own).toEqual([{ at: { kind: 'category', id: body.id }, columns: 2 }]));
    expect(saved().listings.columns).toBe(4);
    await userEvent.click(screen.getByRole('button', { name: /Use the general setting/ }));
    await waitFor(() => expect(saved().listings.own).toEqual([]));
  });
});

describe('product pages', () => {
  test('a part is folded, moved below and hidden; what nobody can do without has no tick', async () => {
    await open('product', 'Parts of the page');
    expect(screen.queryByLabelText('Title')).toBeNull();
    await userEvent.click(screen.getByLabelText(/folded: Specs/));
    await userEvent.click(screen.getByLabelText('Summary'));
    const part = (name: string) => saved().productPage.parts.find((each) => each.part === name);
    await waitFor(() => expect(part('specs')?.folded).toBe(true));
    await waitFor(() => expect(part('summary')?.shown).toBe(false));
    await userEvent.click(button('On a wide screen', 'two side by side'));
    await waitFor(() => expect(saved().productPage.gallery).toBe('pairs'));
  });

  test('promises and short facts are for all products; a fact is added and removed', async () => {
    await open('product', 'Words on every product');
    await userEvent.type(screen.getByLabelText('Delivery'), 'Sent within a day');
    await waitFor(() => expect(saved().productPage.deliveryWords).toBe('Sent within a day'));
    await userEvent.type(screen.getByLabelText('A new short fact'), 'Mended for life{Enter}');
    await waitFor(() => expect(saved().productPage.trust).toEqual(['Mended for life']));
    await userEvent.click(screen.getByRole('button', { name: 'Remove “Mended for life”' }));
    await waitFor(() => expect(saved().productPage.trust).toEqual([]));
  });

  test('a layout for one category begins as that of all, and is given up again', async () => {
    const { body } = await server().call<{ id: string }>('POST', '/api/categories', { name: 'Reels' });
    await open('product', 'Parts of the page');
    const wasShown = screen.getByLabelText<HTMLInputElement>('Summary').checked;
    await userEvent.type(screen.getByRole('combobox', { name: 'Different for a category' }), 'Reels');
    await userEvent.click(await screen.findByRole('option', { name: /Reels/ }));
    expect(await screen.findByText(/as all others, until you change something/)).toBeTruthy();
    await userEvent.click(screen.getByLabelText('Summary'));
    await waitFor(() => expect(saved().productPage.own[0]?.of).toEqual({ kind: 'category', id: body.id }));
    expect(saved().productPage.parts.find(({ part }) => part === 'summary')?.shown).toBe(wasShown);
    await userEvent.click(screen.getByRole('button', { name: 'As all others again' }));
    await waitFor(() => expect(saved().productPage.own).toEqual([]));
  });

  test('the goods that put it to the test are offered, each by what is hard about it', async () => {
    await open('product', 'Parts of the page');
    const group = await screen.findByRole('group', { name: /Try the layout on/ });
    expect(
      within(group)
        .getAllByRole('button')
        .map(({ textContent }) => textContent),
    ).toEqual(['the longest title', 'no picture']);
  });
});

test('a notice is typed, led somewhere, and emptied again', async () => {
  await open('signs', 'Notice');
  await userEvent.type(screen.getByLabelText('Words'), 'Closed on Friday');
  await waitFor(() => expect(saved().notice.text).toBe('Closed on Friday'));
  await userEvent.clear(screen.getByLabelText('Words'));
  await waitFor(() => expect(saved().notice.text).toBe(''));
});
