/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { presets } from '../../../../core/look/presets';
import { usualLook } from '../../../../core/model/look';
import { startShop } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { useSettings } from '../../../data/shopfront';
import { typedDrafts } from '../../../shared/ui/typed-drafts';
import { readColour } from './colour-field';
import { LookPage } from './look-page';

const server = onServer(() => startShop({ Tern: 1_000 }));
const savedLook = () => server().catalog.working.shop.settings.look;

function Page() {
  const { data } = useSettings();
  return data ? <LookPage settings={data} /> : null;
}
const opened = async () => {
  draw(<Page />);
  await screen.findByRole('heading', { name: 'Colours' });
};
/** What the shop window is told that differs from what is saved. */
const inWindow = () =>
  typedDrafts.all().flatMap((typed) => (typed.of === 'shop' && typed.fields.look ? [typed.fields.look] : []));
const hexOf = (name: string) => screen.getByLabelText(name, { selector: 'input:not([type=color])' });

test('a look is tried in the shop window, put back, and taken; nothing is saved before', async () => {
  await opened();
  const meadow = presets.find(({ name }) => name === 'Meadow')!;
  await userEvent.click(screen.getByRole('button', { name: /^Meadow/ }));
  expect(inWindow()).toEqual([meadow.look]);
  await userEvent.click(screen.getByRole('button', { name: 'Back to my look' }));
  expect(inWindow()).toEqual([]);
  expect(savedLook()).toEqual(usualLook);
  await userEvent.click(screen.getByRole('button', { name: /^Meadow/ }));
  await userEvent.click(screen.getByRole('button', { name: 'Take this look' }));
  await waitFor(() => expect(savedLook()).toEqual(meadow.look));
  expect(await screen.findByText('in use')).toBeTruthy();
});

test('a colour that is hard to read is said while it is typed, and mended at one click', async () => {
  await opened();
  await userEvent.clear(hexOf('Links and buttons'));
  await userEvent.type(hexOf('Links and buttons'), '#9bd');
  const faults = await screen.findByRole('list', { name: 'Hard to read' });
  expect(within(faults).getByText(/White on buttons: 2\.\d to 1/)).toBeTruthy();
  await userEvent.click(within(faults).getAllByRole('button')[0]!);
  expect(await screen.findByText(/All text is easy to read/)).toBeTruthy();
  await waitFor(() => expect(savedLook().colours.sea).toMatch(/^#[0-9a-f]{6}$/));
});

test('what is no colour stays as it was typed and says so', async () => {
  await opened();
  const before = savedLook().colours.deep;
  await userEvent.clear(hexOf('Strong background'));
  await userEvent.type(hexOf('Strong background'), 'navy');
  expect((await screen.findAllByText(/six letters or digits/)).length).toBeGreaterThan(0);
  expect((hexOf('Strong background') as HTMLInputElement).value).toBe('navy');
  expect(savedLook().colours.deep).toBe(before);
});

test.each([
  ['#0D6470', '#0d6470'],
  ['0d6470', '#0d6470'],
  [' #0a7 ', '#00aa77'],
])('“%s” is read as %s', (typed, value) => expect(readColour(typed)).toEqual({ value }));
