/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import { usualLook, type Look } from '../../core/model/look';
import type { MenuItemView } from '../../core/storefront/menu-view';
import type { ShopData } from '../data';
import { Footer } from './footer';

const item = (label: string, items: MenuItemView[] = [], url: string | null = `/c/${label}`): MenuItemView => ({
  label,
  url,
  items,
  picture: null,
});
const columns = [item('The shop', [item('kites', [item('deltas')]), item('reels')], null), item('us', [item('about')])];

function draw(footer: Look['footer'], columnsAtFoot: MenuItemView[] = columns, over: Partial<ShopData['shop']> = {}) {
  const shop = {
    name: 'Lark & Line',
    tagline: 'Kites',
    locale: 'en',
    currency: 'EUR',
    look: { ...usualLook, footer },
    ...over,
  };
  const menu = { items: [item('tails')], top: [], footer: columnsAtFoot };
  render(
    <Footer
      data={{ shop, menu, base: '', url: '/', origin: '', page: { kind: 'missing', heading: '', message: '' } }}
    />,
  );
  return screen.getByRole('contentinfo');
}
const links = (foot: HTMLElement) =>
  within(foot)
    .getAllByRole('link')
    .map(({ textContent }) => textContent);

test.each(['columns', 'centred', 'compact'] as const)('each link of the foot is there once, in order: %s', (footer) => {
  expect(links(draw(footer))).toEqual(['kites', 'deltas', 'reels', 'us', 'about']);
});

test('a heading that leads nowhere heads its column, and is left out of one line', () => {
  expect(within(draw('columns')).queryByText('The shop')).not.toBeNull();
});

test('in one line there are no headings', () => {
  expect(within(draw('compact')).queryByText('The shop')).toBeNull();
});

test('without columns the menu stands there once more, and links elsewhere where there are some', () => {
  const foot = draw('centred', [], { social: [{ name: 'Photos', url: 'https://photos.example/' }] });
  expect(links(foot)).toEqual(['Photos', 'tails']);
});
