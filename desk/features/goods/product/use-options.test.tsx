/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ProductAnswer } from '../../../../contract/product';
import type { Option } from '../../../../core/model/product';
import { unsaved } from '../../../shared/autosave/unsaved';
import { useProduct } from '../../../data/goods';
import { draw, serveWith } from '../../../testing/desk';
import { Options } from './options';

type Wanted = { options: { id: string | null; name: string; values: { id: string | null; name: string }[] }[] };

/** A product of which only the options matter, on a server that gives ids. */
function server() {
  let revision = 1;
  let options: Option[] = [];
  let last = 0;
  const answer = () =>
    ({
      revision,
      product: { id: 'p_1', options, variants: [], pictures: [], excludedCombinations: [] },
    }) as unknown as ProductAnswer;
  const waiting: (() => void)[] = [];
  const asked = serveWith({
    'GET /api/products/p_1': () => ({ body: answer() }),
    'GET /api/option-lists': () => ({ body: { lists: [] } }),
    'PUT /api/products/p_1/options': async (body) => {
      const wanted = (body as Wanted).options;
      options = wanted.map((option) => ({
        ...option,
        id: option.id ?? `o_${(last += 1)}`,
        listId: null,
        values: option.values.map((value) => ({
          ...value,
          id: value.id ?? `w_${(last += 1)}`,
          swatch: null,
          pictureId: null,
        })),
      }));
      revision += 1;
      const made = answer();
      await new Promise<void>((done) => waiting.push(done));
      return { body: made };
    },
  });
  const writes = () => asked.filter(({ what }) => what.startsWith('PUT'));
  return {
    writes,
    names: () => options.map(({ values }) => values.map(({ name }) => name)),
    release: () => waiting.shift()?.(),
  };
}

function Page() {
  const { data } = useProduct('p_1');
  return data ? <Options answer={data} /> : null;
}

test('values typed while the first is still being saved are all kept, and the cursor stays', async () => {
  const shop = server();
  draw(<Page />);
  await userEvent.type(await screen.findByLabelText('New option'), 'Finish{Enter}');
  const field = screen.getByLabelText('New value of Finish');
  expect(document.activeElement).toBe(field);
  await userEvent.keyboard('matt{Enter}north{Enter}new{Enter}');
  expect(document.activeElement).toBe(field);
  expect(shop.writes()).toHaveLength(1);
  shop.release();
  await waitFor(() => expect(shop.writes()).toHaveLength(2));
  expect(document.activeElement).toBe(field);
  shop.release();
  await waitFor(() => expect(shop.names()).toEqual([['matt', 'north', 'new']]));
  await waitFor(() => expect(unsaved.isAny()).toBe(false));
  // What was new has the ids that the first save gave it.
  const second = (shop.writes()[1]!.body as Wanted).options[0]!;
  expect([second.id, second.values.map(({ id }) => id !== null)]).toEqual(['o_1', [true, false, false]]);
});

test('an option without values stays on screen, is not sent, and is known to be unsaved', async () => {
  const shop = server();
  const { unmount } = draw(<Page />);
  await userEvent.type(await screen.findByLabelText('New option'), 'Colour{Enter}red{Enter}');
  shop.release();
  await waitFor(() => expect(unsaved.isAny()).toBe(false));
  await userEvent.type(screen.getByLabelText('New option'), 'Size{Tab}');
  expect(screen.getAllByLabelText('Name of the option')).toHaveLength(2);
  expect(unsaved.problems()).toEqual(['The option Size has no values yet.']);
  expect(shop.writes().every(({ body }) => (body as Wanted).options.length === 1)).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Back to what is saved' }));
  expect(screen.getAllByLabelText('Name of the option')).toHaveLength(1);
  unmount();
});

test('answers that come after the page was left do not hold up leaving other pages', async () => {
  const shop = server();
  const { unmount } = draw(<Page />);
  await userEvent.type(await screen.findByLabelText('New option'), 'Colour{Enter}red{Enter}');
  await userEvent.type(screen.getByLabelText('New option'), 'Size{Enter}');
  unmount();
  expect(unsaved.isAny()).toBe(false);
  shop.release();
  await waitFor(() => expect(shop.names()).toEqual([['red']]));
  await new Promise((later) => setTimeout(later, 20));
  expect(unsaved.isAny()).toBe(false);
});
