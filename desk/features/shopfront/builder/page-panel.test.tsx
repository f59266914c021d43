/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startServer } from '../../../../server/testing/harness';
import { complete, draw, retype } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { ShopfrontPage } from '../shopfront-page';

const ids: Record<string, string> = {};
const server = onServer(async () => {
  const made = await startServer();
  const make = async (path: string, body: object) => (await made.call<{ id: string }>('POST', path, body)).body.id;
  ids.deltas = await make('/api/categories', { name: 'Deltas' });
  ids.about = await make('/api/pages', { title: 'About us', pattern: 'blank' });
  return made;
});
const page = (id = ids.about!) => server().catalog.working.shop.pages.get(id)!;
const section = () => page().sections.at(-1)! as unknown as Record<string, unknown>;
const panel = () => within(screen.getByRole('complementary', { name: 'What is chosen' }));
const open = async () => {
  draw(<ShopfrontPage />, `/shopfront?page=${ids.about}`);
  await screen.findByRole('complementary', { name: 'Sections of the page' });
};
async function add(name: string) {
  await userEvent.click(screen.getByRole('button', { name: 'Add a section' }));
  await userEvent.click(within(await screen.findByRole('dialog')).getByText(name));
  await waitFor(() => expect(panel().getByRole('heading', { name })).toBeTruthy());
}

describe('the page itself', () => {
  test('its address follows what is typed; one that another page has is refused at the field', async () => {
    const { body } = await server().call<{ id: string }>('POST', '/api/pages', { title: 'Sizes', pattern: 'blank' });
    await open();
    const address = await panel().findByLabelText<HTMLInputElement>('Address');
    await retype(address, page(body.id).slug);
    expect(await panel().findByRole('alert')).toBeTruthy();
    expect(page().slug).not.toBe('sizes');
    await retype(address, 'who-we-are');
    await waitFor(() => expect(page().slug).toBe('who-we-are'));
    await retype(panel().getByLabelText('Title'), 'Who we are');
    await waitFor(() => expect(page().title).toBe('Who we are'));
  });

  test('it is kept from search engines, and from shoppers before its day, which is said', async () => {
    await open();
    await userEvent.click(await panel().findByText('In search engines'));
    await userEvent.click(panel().getByLabelText('Search engines may list it'));
    await waitFor(() => expect(page().noindex).toBe(true));
    const from = panel().getByLabelText('Seen from');
    await userEvent.type(from, '2099-05-01T10:00');
    expect(await panel().findByText(/^Shoppers do not see this page now/)).toBeTruthy();
    await userEvent.clear(from);
    await waitFor(() => expect(page().from).toBeNull());
  });

  test('it stands on the page of a group, and then has no address of its own', async () => {
    await open();
    await complete('a category, collection, brand or tag', 'Delt', 'Deltas');
    await waitFor(() => expect(page().standsOn).toEqual([{ kind: 'category', id: ids.deltas }]));
    expect(panel().queryByLabelText('Address')).toBeNull();
    await userEvent.click(await panel().findByRole('button', { name: /^Remove.*Deltas|^Deltas/ }));
    await waitFor(() => expect(page().standsOn).toEqual([]));
    expect(await panel().findByLabelText('Address')).toBeTruthy();
  });
});

describe('what stands on it', () => {
  test('quotes are added, given stars, and one is taken out', async () => {
    await open();
    await add('Quotes');
    await userEvent.click(panel().getByRole('button', { name: 'Add a quote' }));
    const last = panel().getAllByLabelText('What was said').length;
    const said = panel().getAllByLabelText('What was said').at(-1)!;
    await retype(said, 'It flew at the first try.');
    await userEvent.type(panel().getAllByLabelText('Who said it').at(-1)!, 'Ada');
    const stars = within(panel().getAllByRole('radiogroup', { name: 'Stars' }).at(-1)!);
    await userEvent.click(stars.getByRole('radio', { name: '5' }));
    await waitFor(() =>
      expect(section().quotes).toContainEqual({ words: 'It flew at the first try.', who: 'Ada', stars: 5 }),
    );
    await userEvent.click(panel().getByRole('button', { name: `Remove quote ${last}` }));
    await waitFor(() => expect(section().quotes).toHaveLength(last - 1));
    expect(JSON.stringify(section().quotes)).not.toContain('It flew');
  });

  test('facts have a drawing each, and not more than a page can bear', async () => {
    await open();
    await add('Short facts');
    const more = () => panel().queryByRole('button', { name: 'Add a fact' });
    while (more()) await userEvent.click(more()!);
    expect(panel().getAllByLabelText('Fact')).toHaveLength(8);
    for (const field of panel().getAllByLabelText('Fact'))
      if (!(field as HTMLInputElement).value) await userEvent.type(field, 'Free');
    await userEvent.click(panel().getAllByRole('button', { name: /^Drawing: / })[0]!);
    await userEvent.click(await screen.findByRole('option', { name: 'wind' }));
    await waitFor(() => expect((section().facts as { icon: string }[])[0]!.icon).toBe('wind'));
  });

  test('tiles lead to groups that are named, or to all below a category', async () => {
    await open();
    await add('Tiles');
    await complete('Add a group, a page or a product', 'Delt', 'Deltas');
    await waitFor(() => expect(section().targets).toEqual([{ kind: 'category', id: ids.deltas }]));
    await complete('or all below a category', 'Delt', 'Deltas');
    await waitFor(() => expect(section()).toMatchObject({ childrenOf: ids.deltas, targets: [] }));
    expect(panel().getByText('kept in step with the tree')).toBeTruthy();
  });

  test('a banner takes turns with another, each with a button that leads somewhere', async () => {
    await open();
    await add('Banner');
    await userEvent.click(panel().getByRole('button', { name: 'Another one that takes turns' }));
    await retype(panel().getAllByLabelText('Heading')[1]!, 'Second');
    await userEvent.type(panel().getAllByRole('combobox', { name: 'A button that leads to' })[1]!, '/page/sizes');
    await userEvent.click(await screen.findByRole('option', { name: /^Lead to/ }));
    await waitFor(() =>
      expect(section().slides).toMatchObject([{}, { title: 'Second', buttons: [{ to: { url: '/page/sizes' } }] }]),
    );
  });

  test('how a section stands is chosen, and an anchor that is none is refused while the rest is kept', async () => {
    await open();
    await add('Text');
    await userEvent.click(panel().getByText('How it stands on the page'));
    await userEvent.click(
      within(panel().getByRole('radiogroup', { name: 'Ground' })).getByRole('radio', { name: 'dark' }),
    );
    await waitFor(() => expect(section().ground).toBe('deep'));
    await userEvent.type(panel().getByLabelText('Anchor'), 'not one!');
    expect(await panel().findByRole('alert')).toBeTruthy();
    await retype(panel().getByLabelText('Anchor'), 'questions');
    await waitFor(() => expect(section().anchor).toBe('questions'));
  });
});
