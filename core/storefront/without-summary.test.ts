import { withoutSummary } from './without-summary';

const of = (summary: string, description: string) => withoutSummary({ summary, description });

test('what the summary says is not said again, however it is marked up', () => {
  expect(of('Steady & light.', '<p>Steady &amp; <b>light</b>.</p><ul><li>Rigged</li></ul>')).toBe(
    '<ul><li>Rigged</li></ul>',
  );
  expect(of('Steady.', ' <p class="a">Steady.</p>')).toBe('');
});

test('all else stays: a paragraph that says more, a later one, and everything where there is no summary', () => {
  for (const [summary, description] of [
    ['Steady.', '<p>Steady. And light.</p>'],
    ['Steady.', '<h2>About</h2><p>Steady.</p>'],
    ['', '<p></p><p>Steady.</p>'],
    ['Steady.', ''],
  ] as const)
    expect(of(summary, description)).toBe(description);
});
