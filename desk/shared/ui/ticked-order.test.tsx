/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { draw } from '../../testing/desk';
import { TickedOrder } from './ticked-order';

function Order({ tell }: { tell: (chosen: string[]) => void }) {
  const [chosen, setChosen] = useState<string[]>(['title', 'price']);
  return (
    <TickedOrder
      all={['picture', 'title', 'price', 'stock']}
      chosen={chosen}
      nameOf={(part) => part}
      change={(next) => {
        setChosen(next);
        tell(next);
      }}
    />
  );
}

test('what is ticked joins where it stands, what is not goes, and the others keep their order', async () => {
  const tell = jest.fn();
  draw(<Order tell={tell} />);
  expect(screen.getAllByRole('checkbox').map((tick) => tick.closest('label')!.textContent)).toEqual([
    'title',
    'price',
    'picture',
    'stock',
  ]);
  await userEvent.click(screen.getByLabelText('stock'));
  expect(tell).toHaveBeenLastCalledWith(['title', 'price', 'stock']);
  await userEvent.click(screen.getByLabelText('title'));
  expect(tell).toHaveBeenLastCalledWith(['price', 'stock']);
  await userEvent.click(screen.getByLabelText('title'));
  expect(tell).toHaveBeenLastCalledWith(['price', 'stock', 'title']);
});
