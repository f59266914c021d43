import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { CallError, wordsOf } from '../../data/api';
import { useMakerGood, useMakerOverview, useMakerWrites, type MakerGood, type MakerOverview } from '../../data/maker';
import { Button } from '../../shared/ui/button';
import { TextArea } from '../../shared/ui/field';
import { Select } from '../../shared/ui/select';
import { Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { Numbers } from './numbers';
import { Pictures } from './pictures';
import { newGoodOf, newRows, proposedOf } from './new-good';
import { NewOptions } from './new-options';
import { emptyDraft, useDraft } from './proposal-draft';
import { Texts, type Path } from './texts';

/** Under which the one variant of a new product is told. */
const NEW = 'new';

/** A product that is not there yet. */
const nothing: MakerGood = {
  id: NEW,
  supplierId: '',
  pictures: [],
  product: { title: '', summary: '', description: '' },
  variants: [{ id: NEW, name: '', fields: {} }],
  texts: {},
  waiting: null,
};

/** What a maker would have other of one of their goods, or a new one. */
function Form({ good, overview }: { good: MakerGood; overview: MakerOverview }) {
  const isNew = good.id === NEW;
  const { draft, change, forget } = useDraft(good.id, { ...emptyDraft, ...good.waiting });
  const [supplierId, setSupplier] = useState(good.supplierId || (overview.suppliers[0]?.id ?? ''));
  const { propose } = useMakerWrites();
  const navigate = useNavigate();
  const errors = propose.error instanceof CallError ? propose.error.errors : [];
  const errorAt = (...path: string[]) => errors.find((error) => error.path.join('/') === path.join('/'))?.message;
  const isPlaced = ({ path }: { path: readonly unknown[] }) =>
    ['product', 'variants', 'texts', 'options'].includes(String(path[0])) && path.length > 1;
  const unplaced = propose.error && !errors.some(isPlaced) ? (errors[0]?.message ?? wordsOf(propose.error)) : undefined;
  const setProduct = (path: Path, text: string) =>
    change((before) => ({ ...before, product: { ...before.product, [path]: text } }));
  const setText = (locale: string, path: Path, text: string) =>
    change((before) => ({
      ...before,
      texts: { ...before.texts, [locale]: { ...before.texts[locale], [path]: text } },
    }));
  const send = () => {
    if (propose.isPending) return;
    propose.mutate(
      isNew ? { ...newGoodOf(draft), supplierId } : { ...proposedOf(draft), productId: good.id, supplierId },
      {
        onSuccess: () => {
          if (!forget(draft)) return void toast('Proposed. What you typed since is not in it: propose it again.');
          toast('Proposed. You are told here what becomes of it.');
          void navigate('/');
        },
      },
    );
  };
  const part = 'sheet p-4';
  return (
    <form
      noValidate
      className="mx-auto flex max-w-4xl flex-col gap-4 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="min-w-0 flex-1 truncate font-display text-2xl font-bold">
          {isNew ? 'A new product' : String(good.product.title)}
        </h1>
        <Link to="/" className="text-petrol hover:underline">
          Back to your goods
        </Link>
      </div>
      {good.waiting && (
        <p role="status" className="rounded-lg bg-marigold-soft px-3.5 py-2 text-marigold-ink">
          You proposed this already and nobody has answered yet. What you send now takes its place.
        </p>
      )}
      {isNew && overview.suppliers.length > 1 && (
        <Select
          label="Of"
          value={supplierId}
          choices={overview.suppliers.map(({ id, name }) => ({ value: id, label: name }))}
          choose={setSupplier}
        />
      )}
      <section className={part}>
        <Texts
          language=""
          value={(path) => draft.product[path] ?? String(good.product[path] ?? '')}
          change={setProduct}
          error={(path) => errorAt('product', path)}
        />
      </section>
      <section className={part} aria-label="Pictures">
        <Pictures good={good} draft={draft} change={change} />
      </section>
      <section className={part} aria-label="Prices and numbers">
        {isNew && <NewOptions draft={draft} change={change} errors={errors} />}
        <p className="mb-2 text-ink-2">
          Price is what shoppers pay, in {overview.currency}; cost is what the shop pays you for one.
        </p>
        <Numbers rows={isNew ? newRows(draft) : good.variants} draft={draft} change={change} errorAt={errorAt} />
      </section>
      {overview.languages.map(({ locale, name }) => (
        <section key={locale} className={part}>
          <Texts
            language={name}
            value={(path) => draft.texts[locale]?.[path] ?? good.texts[locale]?.[path] ?? ''}
            change={(path, text) => setText(locale, path, text)}
            error={(path) => errorAt('texts', locale, path)}
          />
        </section>
      ))}
      <section className={part}>
        <TextArea
          label="A word to the shop"
          rows={2}
          value={draft.note}
          error={errorAt('note')}
          onChange={({ target }) => change((before) => ({ ...before, note: target.value }))}
        />
        {unplaced && (
          <p role="alert" className="mt-2 text-rose-ink">
            {unplaced}
          </p>
        )}
        <div className="mt-3 flex justify-end">
          <Button look="main" type="submit" disabled={propose.isPending}>
            Propose it
          </Button>
        </div>
      </section>
    </form>
  );
}

function Known({ id, overview }: { id: string; overview: MakerOverview }) {
  const { data, error, refetch } = useMakerGood(id);
  useTitle(data ? String(data.product.title) : '');
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={8} />;
  return <Form good={data} overview={overview} />;
}

export function MakerGoodPage() {
  const { id = NEW } = useParams();
  const { data, error, refetch } = useMakerOverview();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={8} />;
  return id === NEW ? <Form key={NEW} good={nothing} overview={data} /> : <Known key={id} id={id} overview={data} />;
}
