/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { MenuItemView } from '../../core/storefront/menu-view';
import { BaseContext } from '../base';
import { PhoneMenu, WideMenu } from './menu-list';

const item = (label: string, url: string | null, items: MenuItemView[] = []): MenuItemView => ({
  label,
  url,
  picture: null,
  items,
});
const menu = [
  item('Kites', '/c/kites', [
    item('Deltas', '/c/deltas', [item('For calm days', '/c/calm')]),
    item('Boxes', '/c/boxes'),
  ]),
  item('Help', null, [item('Sizes', '/page/sizes')]),
  item('Elsewhere', 'https://example.com/kites'),
];
const draw = (here = '/') =>
  render(
    <BaseContext value="/de">
      <WideMenu items={menu} here={here} />
    </BaseContext>,
  );
const below = (name: string) => screen.getByRole('button', { name: `Below ${name}` });

test('what stands below comes out with a key, and Escape puts it away and keeps the focus', async () => {
  draw();
  below('Kites').focus();
  await userEvent.keyboard('{Enter}');
  expect(below('Kites').getAttribute('aria-expanded')).toBe('true');
  await userEvent.tab();
  expect(document.activeElement!.textContent).toBe('Deltas');
  await userEvent.keyboard('{Escape}');
  expect(below('Kites').getAttribute('aria-expanded')).toBe('false');
  expect(document.activeElement).toBe(below('Kites'));
});

test('only one is out at a time, and leaving the menu puts it away', async () => {
  draw();
  await userEvent.click(below('Kites'));
  await userEvent.click(below('Help'));
  expect([below('Kites'), below('Help')].map((each) => each.getAttribute('aria-expanded'))).toEqual(['false', 'true']);
  await userEvent.click(document.body);
  expect(below('Help').getAttribute('aria-expanded')).toBe('false');
});

test('a mouse that comes over it opens it, and a click there leaves it open; it goes with the mouse', async () => {
  draw();
  await userEvent.hover(below('Kites'));
  expect(below('Kites').getAttribute('aria-expanded')).toBe('true');
  await userEvent.click(below('Kites'));
  expect(below('Kites').getAttribute('aria-expanded')).toBe('true');
  await userEvent.unhover(below('Kites'));
  expect(below('Kites').getAttribute('aria-expanded')).toBe('false');
});

test('a finger opens it with one press and puts it away with the next', async () => {
  draw();
  const press = () => userEvent.pointer([{ keys: '[TouchA]', target: below('Kites') }]);
  await press();
  expect(below('Kites').getAttribute('aria-expanded')).toBe('true');
  await press();
  expect(below('Kites').getAttribute('aria-expanded')).toBe('false');
});

test('links of the shop stand in its language, others as they are; a heading is none', () => {
  draw('/c/kites?sort=title');
  const kites = screen.getByRole('link', { name: 'Kites' });
  expect(kites.getAttribute('href')).toBe('/de/c/kites');
  expect(kites.getAttribute('aria-current')).toBe('page');
  expect(screen.getByRole('link', { name: 'Elsewhere' }).getAttribute('href')).toBe('https://example.com/kites');
  expect(screen.queryByRole('link', { name: 'Help' })).toBeNull();
});

test('on a phone all three levels stand in one list, and what unfolds has a way to itself', () => {
  render(<PhoneMenu items={menu} here="/c/calm" />);
  expect(screen.getAllByRole('link', { hidden: true }).map(({ textContent }) => textContent)).toEqual([
    'Kites',
    'Deltas',
    'For calm days',
    'Boxes',
    'Sizes',
    'Elsewhere',
  ]);
  expect(screen.getByRole('link', { name: 'For calm days', hidden: true }).getAttribute('aria-current')).toBe('page');
});
