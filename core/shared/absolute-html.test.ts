import { absoluteHtml, htmlAfter } from './absolute-html';

test('addresses of the same site become whole ones, all else stays', () => {
  const html =
    '<a href="/c/kites">x</a><img src="/media/a/480.webp"><a href="https://b.example/">y</a><a href="//c.example">z</a>';
  expect(absoluteHtml(html, 'https://shop.example')).toBe(
    '<a href="https://shop.example/c/kites">x</a><img src="https://shop.example/media/a/480.webp"><a href="https://b.example/">y</a><a href="//c.example">z</a>',
  );
});

test('links to pages go on in the language; files and what leads elsewhere have one address', () => {
  const html =
    '<a href="/">h</a><a href="/c/kites?sort=price">k</a><a href="/de/p/tern">t</a><a href="/media/a/480.webp">p</a><img src="/media/a/480.webp"><a href="https://b.example/">y</a><a href="//c.example">z</a><a href="mailto:a@b.example">m</a>';
  expect(htmlAfter(html, '/de')).toBe(
    '<a href="/de">h</a><a href="/de/c/kites?sort=price">k</a><a href="/de/p/tern">t</a><a href="/media/a/480.webp">p</a><img src="/media/a/480.webp"><a href="https://b.example/">y</a><a href="//c.example">z</a><a href="mailto:a@b.example">m</a>',
  );
  expect(htmlAfter(html, '')).toBe(html);
  expect(absoluteHtml('<a href="/c/kites">x</a>', 'https://shop.example', '/de')).toBe(
    '<a href="https://shop.example/de/c/kites">x</a>',
  );
});
