import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { readAgain } from './live-updates';

function setUp() {
  const client = new QueryClient();
  const answers: ((answer: string) => void)[] = [];
  const queryFn = () => new Promise<string>((resolve) => answers.push(resolve));
  const observer = new QueryObserver(client, { queryKey: ['history'], queryFn });
  const stop = observer.subscribe(() => undefined);
  const settled = () => new Promise((resolve) => setTimeout(resolve));
  return { client, answers, observer, stop, settled };
}

test('a change that comes while the first answer is under way is not lost', async () => {
  const { client, answers, observer, stop, settled } = setUp();
  const again = readAgain(client, ['history'], 'active');
  answers[0]!('from before the change');
  await settled();
  expect(answers).toHaveLength(2);
  answers[1]!('from after it');
  await again;
  expect(observer.getCurrentResult().data).toBe('from after it');
  stop();
});

test('what is shown already is read again at once, and the answer under way is dropped', async () => {
  const { client, answers, observer, stop, settled } = setUp();
  answers[0]!('first');
  await settled();
  void readAgain(client, ['history'], 'active');
  const again = readAgain(client, ['history'], 'active');
  await settled();
  expect(answers).toHaveLength(3);
  answers[2]!('third');
  answers[1]!('second');
  await again;
  expect(observer.getCurrentResult().data).toBe('third');
  stop();
});

test('what is not on the screen waits until it is', async () => {
  const { client, answers, stop, settled } = setUp();
  answers[0]!('first');
  await settled();
  stop();
  await readAgain(client, ['history'], 'none');
  expect(answers).toHaveLength(1);
  expect(client.getQueryState(['history'])?.isInvalidated).toBe(true);
});
