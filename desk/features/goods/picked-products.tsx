import { useState, type ReactNode } from 'react';
import { AddProduct } from '../../shared/pickers/add-product';
import { ProductChip } from './product-chip';

interface Props {
  ids: readonly string[];
  /** what is known of products by id; those that are not were deleted, or were added just now */
  known: Readonly<Record<string, { title: string; thumbnail: string | null }>>;
  change: (ids: string[]) => void;
  /** products that cannot be added */
  without: readonly string[];
  note?: (id: string, title: string) => ReactNode;
}

/** Products picked one by one, in order. */
export function PickedProducts({ ids, known, change, without, note }: Props) {
  const [titles, setTitles] = useState<Record<string, string>>({});
  const swap = (at: number, by: number) => {
    const next = [...ids];
    [next[at], next[at + by]] = [next[at + by]!, next[at]!];
    change(next);
  };
  return (
    <>
      {ids.map((id, at) => {
        const title = known[id]?.title || titles[id] || 'a deleted product';
        return (
          <ProductChip
            key={id}
            title={title}
            thumbnail={known[id]?.thumbnail ?? null}
            note={note?.(id, title)}
            forward={at > 0 ? () => swap(at, -1) : undefined}
            back={at < ids.length - 1 ? () => swap(at, 1) : undefined}
            remove={() => change(ids.filter((each) => each !== id))}
          />
        );
      })}
      <AddProduct
        taken={[...ids, ...without]}
        add={(id, title) => {
          setTitles((now) => ({ ...now, [id]: title }));
          change([...ids, id]);
        }}
      />
    </>
  );
}
