import { lazy, Suspense, useId, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { namesOf } from '../../../core/model/fields';
import type { proposedTexts } from '../../../core/model/proposal';
import { variantFields } from '../../../core/model/variant-fields';
import { mediaUrl } from '../../../core/storefront/picture-sizes';
import { CallError, wordsOf } from '../../data/api';
import { useMakerGood, useMakerOverview, useMakerWrites, type MakerGood, type MakerOverview } from '../../data/maker';
import { Button } from '../../shared/ui/button';
import { TextArea, TextField } from '../../shared/ui/field';
import { MeasureField } from '../../shared/ui/measure-field';
import { Select } from '../../shared/ui/select';
import { Failed, Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { useTitle } from '../../shared/ui/use-title';
import { columnOf, type ColumnName } from '../../shared/variant-columns';
import { emptyDraft, useDraft, type Draft } from './proposal-draft';

const RichField = lazy(() => import('../../shared/rich/rich-field'));

type Path = (typeof proposedTexts)[number];
const NO_UNIT = { unitPricing: null } as const;
/** Under which the one variant of a new product is told. */
const NEW = 'new';
const columns = namesOf(variantFields, ({ makers }) => makers === 'propose').map((name) =>
  columnOf(name as ColumnName),
);

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

interface TextsProps {
  /** '' for the main language */
  language: string;
  value: (path: Path) => string;
  change: (path: Path, text: string) => void;
  error: (path: Path) => string | undefined;
}

/** Title, summary and description in one language. */
function Texts({ language, value, change, error }: TextsProps) {
  const id = useId();
  const inWords = language === '' ? '' : ` in ${language}`;
  return (
    <div className="flex flex-col gap-3">
      <TextField
        label={`Title${inWords}`}
        value={value('title')}
        error={error('title')}
        onChange={({ target }) => change('title', target.value)}
      />
      <TextArea
        label={`Summary${inWords}`}
        rows={2}
        value={value('summary')}
        error={error('summary')}
        onChange={({ target }) => change('summary', target.value)}
      />
      <div>
        <span id={id} className="mb-1 block font-semibold">
          Description{inWords}
        </span>
        <Suspense fallback={<div className="field h-40 animate-pulse" />}>
          <RichField
            label={`Description${inWords}`}
            html={value('description')}
            pictures={[]}
            isUnsaved={false}
            change={(html) => change('description', html)}
          />
        </Suspense>
        {error('description') && (
          <p role="alert" className="mt-1 text-rose-ink">
            {error('description')}
          </p>
        )}
      </div>
    </div>
  );
}

interface PartProps {
  good: MakerGood;
  draft: Draft;
  change: (change: (draft: Draft) => Draft) => void;
}

function Numbers({ good, draft, change, errorAt }: PartProps & { errorAt: (...path: string[]) => string | undefined }) {
  return (
    <div className="flex flex-col gap-4">
      {good.variants.map((variant) => (
        <fieldset key={variant.id}>
          {variant.name && <legend className="mb-1 font-semibold">{variant.name}</legend>}
          <div className="grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-3">
            {columns.map(({ name, label, show, read }) => {
              const typed = (draft.variants[variant.id] ?? {}) as Record<string, unknown>;
              return (
                <MeasureField
                  key={name}
                  label={name === 'supplierNumber' ? 'Your number' : label}
                  shown={show(name in typed ? typed[name] : variant.fields[name], NO_UNIT)}
                  read={(text) => read(text, NO_UNIT)}
                  error={errorAt('variants', variant.id, name)}
                  change={(value) =>
                    change((before) => ({
                      ...before,
                      variants: { ...before.variants, [variant.id]: { ...before.variants[variant.id], [name]: value } },
                    }))
                  }
                />
              );
            })}
          </div>
        </fieldset>
      ))}
    </div>
  );
}

function Pictures({ good, draft, change }: PartProps) {
  const { addPictures } = useMakerWrites();
  const file = useRef<HTMLInputElement>(null);
  const bring = (files: File[]) =>
    addPictures.mutate(files, {
      onSuccess: ({ pictures, refused }) => {
        change((before) => {
          const known = new Set([...good.pictures, ...before.pictures].map(({ media }) => media));
          return { ...before, pictures: [...before.pictures, ...pictures.filter(({ media }) => !known.has(media))] };
        });
        for (const { file: name, message } of refused) toast.error(`${name}: ${message}`);
      },
      onError: (error) =>
        void toast.error(error instanceof CallError ? (error.errors[0]?.message ?? wordsOf(error)) : wordsOf(error)),
    });
  return (
    <div className="flex flex-wrap items-center gap-2">
      {good.pictures.map(({ media }) => (
        <Thumb key={media} src={mediaUrl(media, 160)} alt="picture in the shop" className="size-16" />
      ))}
      {draft.pictures.map(({ media }, i) => (
        <span key={media} className="relative">
          <Thumb src={mediaUrl(media, 160)} alt="picture you propose" className="size-16 ring-2 ring-marigold" />
          <Button
            look="bare"
            aria-label={`Drop proposed picture ${i + 1}`}
            className="absolute -right-1 -top-1 !bg-sheet !px-1 !py-0 text-xs"
            onClick={() =>
              change((before) => ({ ...before, pictures: before.pictures.filter((each) => each.media !== media) }))
            }
          >
            ×
          </Button>
        </span>
      ))}
      <input
        ref={file}
        type="file"
        multiple
        accept="image/*"
        aria-label="Pictures to propose"
        className="sr-only"
        onChange={({ target }) => {
          if (target.files?.length) bring([...target.files]);
          target.value = '';
        }}
      />
      <Button disabled={addPictures.isPending} onClick={() => file.current?.click()}>
        {addPictures.isPending ? 'Bringing …' : 'Add pictures'}
      </Button>
    </div>
  );
}

/** What a maker would have other of one of their goods, or a new one. */
function Form({ good, overview }: { good: MakerGood; overview: MakerOverview }) {
  const isNew = good.id === NEW;
  const [draft, change, forget] = useDraft(good.id, good.waiting ?? emptyDraft);
  const [supplierId, setSupplier] = useState(good.supplierId || (overview.suppliers[0]?.id ?? ''));
  const { propose } = useMakerWrites();
  const navigate = useNavigate();
  const errors = propose.error instanceof CallError ? propose.error.errors : [];
  const errorAt = (...path: string[]) => errors.find((error) => error.path.join('/') === path.join('/'))?.message;
  const isPlaced = ({ path }: { path: readonly unknown[] }) =>
    ['product', 'variants', 'texts'].includes(String(path[0]));
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
      { ...draft, productId: isNew ? null : good.id, supplierId },
      {
        onSuccess: () => {
          forget();
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
        <p className="mb-2 text-ink-2">
          Price is what shoppers pay, in {overview.currency}; cost is what the shop pays you for one.
        </p>
        <Numbers good={good} draft={draft} change={change} errorAt={errorAt} />
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
