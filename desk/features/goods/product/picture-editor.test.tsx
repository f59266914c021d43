/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Picture } from '../../../../core/model/product-values';
import { PictureEditor } from './picture-editor';

const picture: Picture = {
  id: 'i_1',
  media: 'aa',
  alt: '',
  width: 900,
  height: 700,
  focus: { x: 0.5, y: 0.5 },
  fit: 'fills',
  background: '#ffffff',
};

function open() {
  const [save, close] = [jest.fn(), jest.fn()];
  render(<PictureEditor picture={picture} suggestion="Wren" save={save} close={close} replace={jest.fn()} />);
  return { save, close, alt: screen.getByLabelText('Alt text') };
}

test('Escape does not drop an alt text that was typed', async () => {
  const { save, close, alt } = open();
  await userEvent.type(alt, 'A kite over dunes');
  await userEvent.keyboard('{Escape}');
  expect(save).toHaveBeenCalledWith({ ...picture, alt: 'A kite over dunes' });
  expect(close).toHaveBeenCalled();
});

test('Cancel does, and Escape without a change saves nothing', async () => {
  const first = open();
  await userEvent.type(first.alt, 'A kite');
  await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(first.save).not.toHaveBeenCalled();
});
