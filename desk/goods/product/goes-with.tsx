import { ArrowLeft, ArrowRight, X } from 'lucide-react';
import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import type { ProductAnswer } from '../../../contract/goods';
import { relationKinds, type Relation, type RelationKind } from '../../../core/catalog/product';
import { call, wordsOf } from '../../api';
import type { Autosave } from '../../use-autosave';
import { Choose } from '../../ui/choose';
import { Select } from '../../ui/select';
import { Thumb } from '../../ui/thumb';
import { fieldOf } from './fields';
import { Part } from './part';

const kindWords: Record<RelationKind, { title: string; hint: string }> = {
  goesWith: { title: 'Goes with', hint: 'what one needs or likes beside it' },
  stepUp: { title: 'Step up', hint: 'the better or larger one' },
  similar: { title: 'Similar', hint: 'what one might choose instead' },
};

const howWords: Record<Relation['how'], string> = {
  none: 'nothing',
  picked: 'picked by hand',
  sameCategory: 'others of the main category',
};

/** Finds products by what is typed. */
function AddProduct({ taken, add }: { taken: readonly string[]; add: (id: string, title: string) => void }) {
  const [typed, setTyped] = useState('');
  const { data } = useQuery({
    queryKey: ['goods', 'pick', typed],
    queryFn: ({ signal }) => call(routes.goods.list, { query: { q: typed, limit: 12 }, signal }),
    placeholderData: (before) => before,
  });
  return (
    <Choose
      label="Add a product"
      onType={setTyped}
      choices={(data?.rows ?? [])
        .filter(({ id }) => !taken.includes(id))
        .map(({ id, title, brand }) => ({ value: id, label: title, note: brand ?? undefined }))}
      choose={(id) => add(id, data?.rows.find((row) => row.id === id)?.title ?? '')}
      className="w-52"
    />
  );
}

interface RowProps {
  kind: RelationKind;
  answer: ProductAnswer;
  save: Autosave;
}

function RelationRow({ kind, answer, save }: RowProps) {
  const { product, related } = answer;
  const { value: relation, error, change } = fieldOf(product, save, kind);
  const [titles, setTitles] = useState<Record<string, string>>({});
  const ids = relation.how === 'picked' ? relation.ids : [];
  const pick = (next: string[]) => change({ how: 'picked', ids: next });
  const swap = (at: number, by: number) => {
    const next = [...ids];
    [next[at], next[at + by]] = [next[at + by]!, next[at]!];
    pick(next);
  };
  const bothWays = (id: string) => {
    call(routes.goods.relateBack, { params: { id: product.id }, body: { kind, to: id } })
      .then(() => toast(`${titles[id] ?? related[id]?.title} now leads back here.`))
      .catch((failed: unknown) => toast.error(wordsOf(failed)));
  };
  return (
    <>
      <div className="pt-1">
        <span className="block font-semibold">{kindWords[kind].title}</span>
        <span className="block text-xs text-ink-2">{kindWords[kind].hint}</span>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <Select
          label={kindWords[kind].title}
          value={relation.how}
          choices={Object.entries(howWords).map(([value, label]) => ({ value, label }))}
          choose={(how) => change(how === 'picked' ? { how: 'picked', ids } : { how: how as 'none' | 'sameCategory' })}
        />
        {ids.map((id, at) => {
          const title = titles[id] ?? related[id]?.title ?? '…';
          return (
            <span key={id} className="flex items-center gap-1.5 rounded-lg border border-line bg-sheet py-1 pl-1 pr-1">
              <Thumb src={related[id]?.thumbnail ?? null} className="size-6" />
              <span className="max-w-44 truncate" title={title}>
                {title}
              </span>
              <button type="button" className="text-xs text-petrol hover:underline" onClick={() => bothWays(id)}>
                and back
              </button>
              {at > 0 && (
                <button type="button" aria-label={`Move ${title} forward`} onClick={() => swap(at, -1)}>
                  <ArrowLeft size={12} aria-hidden="true" />
                </button>
              )}
              {at < ids.length - 1 && (
                <button type="button" aria-label={`Move ${title} back`} onClick={() => swap(at, 1)}>
                  <ArrowRight size={12} aria-hidden="true" />
                </button>
              )}
              <button
                type="button"
                aria-label={`Remove ${title}`}
                onClick={() => pick(ids.filter((each) => each !== id))}
                className="rounded p-0.5 text-ink-2 hover:text-rose"
              >
                <X size={12} aria-hidden="true" />
              </button>
            </span>
          );
        })}
        {relation.how === 'picked' && (
          <AddProduct
            taken={[...ids, product.id]}
            add={(id, title) => {
              setTitles((now) => ({ ...now, [id]: title }));
              pick([...ids, id]);
            }}
          />
        )}
        {error && (
          <p role="alert" className="w-full text-rose-ink">
            {error}
          </p>
        )}
      </div>
    </>
  );
}

export function GoesWith({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  return (
    <Part id="goes-with" title="Goes with" hint="strips of goods below this product">
      <div className="grid grid-cols-[9rem_1fr] items-start gap-x-3 gap-y-3">
        {relationKinds.map((kind) => (
          <RelationRow key={kind} kind={kind} answer={answer} save={save} />
        ))}
      </div>
    </Part>
  );
}
