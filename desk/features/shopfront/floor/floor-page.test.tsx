/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { ShopfrontPage } from '../shopfront-page';

const server = onServer(async () => {
  const made = await startShop({ Harrier: 1_000, Wren: 2_000, Ibis: 3_000 });
  await made.call('POST', '/api/categories', { name: 'Deltas' });
  const home = [...made.catalog.working.shop.pages.values()].find((page) => page.home)!;
  const strip = { kind: 'strip', source: { kind: 'newest' }, count: 3 };
  await made.call('PATCH', `/api/pages/${home.id}`, {
    sections: [
      { ...strip, id: null, title: 'First' },
      { ...strip, id: null, title: 'Second', count: 1 },
    ],
  });
  return made;
});
const plan = () => screen.findByRole('region', { name: 'Floor plan' });
const about = () => screen.getByRole('complementary', { name: 'About the floor' });
const opened = async () => {
  draw(<ShopfrontPage />);
  await userEvent.click(await screen.findByRole('tab', { name: 'Floor plan' }));
  return plan();
};

test('every page stands on the plan, with what is odd about it; those without a way in say so', async () => {
  const floor = await opened();
  const home = await within(floor).findByRole('article', { name: 'Home' });
  expect(within(home).getByText('First')).toBeTruthy();
  expect(within(await within(floor).findByRole('article', { name: 'Deltas' })).getByText('no way in')).toBeTruthy();
  expect(within(about()).getByText(/Shoppers cannot reach one page/)).toBeTruthy();
});

test('a product that is lit tells where it shows', async () => {
  const floor = await opened();
  await userEvent.type(screen.getByLabelText('a product, category, collection, brand or tag'), 'harr');
  await userEvent.click(await screen.findByRole('option', { name: /Harrier/ }));
  expect(await within(about()).findByText('on the home page')).toBeTruthy();
  expect(within(about()).getByText('Home › First')).toBeTruthy();
  expect(await within(floor).findByText(/^[12] lit$/)).toBeTruthy();
});

test('what a rule takes in is lit, and the rule is changed there', async () => {
  const floor = await opened();
  await userEvent.click(screen.getByRole('button', { name: 'a rule …' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.type(await within(dialog).findByRole('combobox', { name: /condition|field/i }), 'title');
  await userEvent.click(await screen.findByRole('option', { name: 'Title' }));
  await userEvent.type(within(dialog).getByRole('textbox'), 'wren');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Show them' }));
  // Which of the three is newest depends on the second they were made in, so it may show in one place or two.
  expect((await within(about()).findAllByText(/Wren|one product/)).length).toBeGreaterThan(0);
  expect(await within(floor).findByText(/^[12] lit$/)).toBeTruthy();
});

test('what stands on a page twice is skipped at one click', async () => {
  await opened();
  expect(await within(about()).findByText('Shown twice on Home.')).toBeTruthy();
  await userEvent.click(within(about()).getByRole('button', { name: 'Skip repeats' }));
  await waitFor(() => expect(within(about()).queryByText('Shown twice on Home.')).toBeNull());
  const sections = [...server().catalog.working.shop.pages.values()].find((page) => page.home)!.sections;
  expect(sections.map((section) => section.kind === 'strip' && section.skipAbove)).toEqual([false, true]);
});
