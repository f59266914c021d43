import type { FormProps } from '../form';
import { OneOf } from './one-of';

export function PicturesForm({ change }: FormProps) {
  return (
    <OneOf
      label="Their pictures"
      choices={[
        { value: 'fills', label: 'fill the frame, around their focus point' },
        { value: 'fits', label: 'fit into it, wholly visible' },
      ]}
      choose={(fit) => change({ do: 'pictures', fit })}
    />
  );
}
