import { absoluteHtml } from './absolute-html';

test('addresses of the same site become whole ones, all else stays', () => {
  const html =
    '<a href="/c/kites">x</a><img src="/media/a/480.webp"><a href="https://b.example/">y</a><a href="//c.example">z</a>';
  expect(absoluteHtml(html, 'https://shop.example')).toBe(
    '<a href="https://shop.example/c/kites">x</a><img src="https://shop.example/media/a/480.webp"><a href="https://b.example/">y</a><a href="//c.example">z</a>',
  );
});
