import { deskHelps, findTopics, helpAt } from './topics';

const all = deskHelps.flatMap(({ topics }) => topics);

test('each idea has a key and a title of its own, and says something in sentences', () => {
  expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
  expect(new Set(all.map(({ title }) => title)).size).toBe(all.length);
  for (const { title, words } of all) {
    expect(words.length).toBeGreaterThan(0);
    for (const paragraph of words)
      expect([title, /[.:?]$/.test(paragraph), paragraph.length < 450]).toEqual([title, true, true]);
  }
});

test.each([
  '/goods',
  '/goods/p_1',
  '/goods/sheet',
  '/groups/tags/t_1',
  '/prices',
  '/shopfront',
  '/set-up',
  '/words/de',
  '/exchange',
  '/orders/r_1',
  '/review',
  '/today',
  '/loose-ends',
  '/history',
  '/suppliers/su_1',
  '/proposals',
])('the desk at %s is explained', (path) => {
  const begin = `/${path.split('/')[1]}`;
  expect(helpAt(path).at).toContain(begin);
});

test('words find topics from their beginnings, whatever their case and marks, and titles come first', () => {
  const titles = (typed: string) => findTopics(typed).map(({ topic }) => topic.title);
  expect(titles('FORWARD')[0]).toBe('Forwards');
  expect(titles('forward').length).toBeGreaterThan(1);
  expect(titles('sold out')).not.toEqual([]);
  expect(titles('  ')).toEqual([]);
  expect(titles('kite bicycle')).toEqual([]);
  expect(titles('rule shelv')[0]).toBe('Shelves: picked by hand or filled by rule');
});
