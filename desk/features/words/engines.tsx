import { ImagePlus, Plus, Trash2 } from 'lucide-react';
import { useCallback, useRef, useState } from 'react';
import { Link as To } from 'react-router';
import { toast } from 'sonner';
import type { ChosenListing } from '../../../core/model/chosen-listing';
import { mediaUrl } from '../../../core/storefront/picture-sizes';
import { CallError, wordsOf } from '../../data/api';
import {
  saveChosen,
  useEngineFilters,
  useEngines,
  useEngineWrites,
  type ChosenRow,
  type SearchConflict,
  type ShownPage,
} from '../../data/engines';
import { useForwardWrites } from '../../data/searched';
import { useSectionPicture } from '../../data/shopfront';
import { useAutosave, useText } from '../../shared/autosave/use-autosave';
import type { Autosave } from '../../shared/autosave/autosave';
import { ChooseTarget } from '../../shared/pickers/choose-target';
import { TargetName } from '../../shared/pickers/target-words';
import { Button } from '../../shared/ui/button';
import { Clashes } from '../../shared/ui/clashes';
import { count } from '../../shared/ui/count';
import { Dialog } from '../../shared/ui/dialog';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { pixelWidth, shownText, SHOWN_PIXELS } from './pixel-width';

const messageOf = (error: unknown) =>
  error instanceof CallError && error.errors[0] ? error.errors[0].message : wordsOf(error);
const fail = (error: unknown) => void toast.error(messageOf(error));

const conflictWords: Readonly<Record<SearchConflict['sort'], string>> = {
  redirected: 'Shown, yet forwarded',
  hiddenInMenu: 'Kept away, yet in a menu',
  canonicalHidden: 'Narrows what is kept away',
  sameTitle: 'Two pages of one title',
  noGoods: 'Chosen, with no goods',
  shortText: 'Too little text',
  untold: 'Not told in a language',
};

/** Where the desk changes a thing. */
const deskPath: Partial<Record<SearchConflict['kind'], (id: string) => string>> = {
  product: (id) => `/goods/${id}`,
  category: (id) => `/groups/category/${id}`,
  collection: (id) => `/groups/${id}`,
  brand: (id) => `/groups/brands/${id}`,
  tag: (id) => `/groups/tags/${id}`,
  page: (id) => `/shopfront?page=${id}`,
};

function Mend({ conflict: { sort, kind, id, mend, url } }: { conflict: SearchConflict }) {
  const { noindex, drop } = useEngineWrites();
  const forwards = useForwardWrites();
  const path = deskPath[kind]?.(id);
  const isThing = kind !== 'chosenListing' && kind !== 'forward';
  return (
    <span className="flex shrink-0 gap-1">
      {mend === 'index' && isThing && (
        <Button onClick={() => noindex.mutate({ kind, id, noindex: false }, { onError: fail })}>Let it be shown</Button>
      )}
      {mend === 'noindex' && isThing && (
        <Button look="bare" onClick={() => noindex.mutate({ kind, id, noindex: true }, { onError: fail })}>
          Keep it away
        </Button>
      )}
      {mend === 'dropForward' && (
        <Button onClick={() => forwards.drop.mutate(id, { onError: fail })}>Delete the forward</Button>
      )}
      {mend === 'dropChosen' && <Button onClick={() => drop.mutate(id, { onError: fail })}>No longer choose it</Button>}
      {sort === 'untold' ? (
        <To
          to={`/words/${url.split('/')[1]!}?at=${kind}/${id}`}
          className="rounded-lg px-2 py-1 font-medium text-ink-2 hover:bg-sunk"
        >
          Translate
        </To>
      ) : (
        path && (
          <To to={path} className="rounded-lg px-2 py-1 font-medium text-ink-2 hover:bg-sunk">
            Open
          </To>
        )
      )}
    </span>
  );
}

const FEW = 6;

function Conflicts({ conflicts }: { conflicts: readonly SearchConflict[] }) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const sorts = Object.keys(conflictWords) as SearchConflict['sort'][];
  return (
    <section aria-label="What does not go together" className="sheet mb-4 max-w-5xl p-4">
      <h2 className="font-display text-lg font-bold">What does not go together</h2>
      {conflicts.length === 0 && <p className="text-ink-2">Nothing. Search engines are told one thing only.</p>}
      {sorts.map((sort) => {
        const all = conflicts.filter((conflict) => conflict.sort === sort);
        if (all.length === 0) return null;
        const shown = open.has(sort) ? all : all.slice(0, FEW);
        return (
          <div key={sort} className="mt-3">
            <h3 className="font-semibold">
              {conflictWords[sort]}{' '}
              <span className="text-xs font-normal tabular-nums text-ink-2">{count(all.length)}</span>
            </h3>
            <ul className="divide-y divide-hair">
              {shown.map((conflict) => (
                <li
                  key={`${conflict.kind} ${conflict.id} ${conflict.url}`}
                  className="flex flex-wrap items-center gap-x-3 py-1"
                >
                  <span className="min-w-0 flex-1 break-words">
                    {conflict.name} <span className="text-xs text-ink-2">{conflict.url}</span>
                    <span className="block text-xs text-ink-2">{conflict.words}</span>
                  </span>
                  <Mend conflict={conflict} />
                </li>
              ))}
            </ul>
            {shown.length < all.length && (
              <Button look="bare" onClick={() => setOpen(new Set([...open, sort]))}>
                {count(all.length - shown.length)} more
              </Button>
            )}
          </div>
        );
      })}
    </section>
  );
}

/** A page as it may look in a list of results, with how much of it is cut. */
function ResultPreview({
  origin,
  url,
  title,
  description,
}: {
  origin: string;
  url: string;
  title: string;
  description: string;
}) {
  const cut = (['title', 'description'] as const).filter(
    (as) => pixelWidth(as === 'title' ? title : description, as) > SHOWN_PIXELS[as],
  );
  return (
    <div className="min-w-0 max-w-[600px]">
      <p className="truncate text-xs text-ink-2">{origin.replace(/^https?:\/\//, '') + url}</p>
      <p className="break-words text-[18px] leading-snug text-sky-ink">{shownText(title, 'title')}</p>
      <p className="break-words text-ink-2">
        {description ? shownText(description, 'description') : 'A piece of the page.'}
      </p>
      {cut.length > 0 && (
        <p className="text-xs text-marigold-ink">
          {cut
            .map(
              (as) =>
                `${as === 'title' ? 'Title' : 'Description'}: ${pixelWidth(as === 'title' ? title : description, as)} of ${SHOWN_PIXELS[as]} pixels`,
            )
            .join('; ')}
        </p>
      )}
    </div>
  );
}

function Text({ save, name, label, rows = 1 }: { save: Autosave; name: string; label: string; rows?: number }) {
  const { value, error, unsaved, onChange } = useText(save, name);
  return (
    <label className="block">
      <span className="mb-1 block text-xs text-ink-2">{label}</span>
      <textarea
        rows={rows}
        value={value}
        onChange={onChange}
        aria-invalid={error !== undefined}
        data-unsaved={unsaved || undefined}
        className="field block w-full resize-y"
      />
      {error && (
        <span role="alert" className="mt-1 block text-rose-ink">
          {error}
        </span>
      )}
    </label>
  );
}

/** The picture of a chosen listing, for search engines and for cards on other sites. */
function Picture({ save, picture }: { save: Autosave; picture: ChosenListing['picture'] }) {
  const send = useSectionPicture();
  const input = useRef<HTMLInputElement>(null);
  const change = (next: ChosenListing['picture']) => save.change({ picture: next });
  return (
    <div className="sm:col-span-2">
      <span className="mb-1 block text-xs text-ink-2">Picture; without one, the first of its goods is shown</span>
      <div className="flex items-center gap-2">
        {picture && <img src={mediaUrl(picture.media, 480)} alt="" className="h-14 w-20 rounded-lg object-cover" />}
        <input
          ref={input}
          type="file"
          accept="image/*"
          aria-label="Picture"
          className="sr-only"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            target.value = '';
            if (file)
              send.mutate([file], {
                onSuccess: ({ media, width, height }) => change({ media, width, height, alt: picture?.alt ?? '' }),
                onError: fail,
              });
          }}
        />
        <Button onClick={() => input.current?.click()} disabled={send.isPending}>
          <ImagePlus size={14} aria-hidden="true" /> {picture ? 'Another one' : 'Choose a picture'}
        </Button>
        {picture && (
          <Button look="bare" onClick={() => change(null)}>
            Take it away
          </Button>
        )}
      </div>
    </div>
  );
}

function Chosen({
  row: { chosen, words, url, goods },
  origin,
  shopName,
}: {
  row: ChosenRow;
  origin: string;
  shopName: string;
}) {
  const { drop } = useEngineWrites();
  const [isOpen, setOpen] = useState(false);
  const shown = useCallback((key: string): unknown => chosen[key as keyof ChosenListing], [chosen]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({ saved: (await saveChosen(chosen.id, { ...values, was })).chosen }),
    keyOf: (path) => String(path[0]),
  });
  return (
    <li className="py-3">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1">
          <ResultPreview
            origin={origin}
            url={url}
            title={chosen.metaTitle || `${chosen.title} · ${shopName}`}
            description={chosen.metaDescription || chosen.text}
          />
        </div>
        <span className="text-xs text-ink-2">
          {words}
          <br />
          {count(goods)} goods
        </span>
        <Button look="bare" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          Words
        </Button>
        <Button
          look="bare"
          aria-label={`No longer choose ${chosen.title}`}
          onClick={() => drop.mutate(chosen.id, { onError: fail })}
        >
          <Trash2 size={14} aria-hidden="true" />
        </Button>
      </div>
      {isOpen && (
        <div className="mt-2 grid gap-2 sm:grid-cols-2">
          <div className="sm:col-span-2">
            <SaveStateWords save={save} />
            <Clashes save={save} />
          </div>
          <Text save={save} name="title" label="Title on the page" />
          <Text save={save} name="slug" label="Address, behind /l/" />
          <div className="sm:col-span-2">
            <Text save={save} name="text" label="Text on the page" rows={3} />
          </div>
          <Text save={save} name="metaTitle" label="Title for search engines; empty for that of the page" />
          <Text
            save={save}
            name="metaDescription"
            label="Description for search engines; empty for the text"
            rows={2}
          />
          <Picture save={save} picture={chosen.picture} />
        </div>
      )}
    </li>
  );
}

/** Chooses a narrowed listing: a group, then values of its filters. */
function ChooseListing({ close }: { close: () => void }) {
  const [at, setAt] = useState<ChosenListing['at']>(null);
  const [choices, setChoices] = useState<ChosenListing['choices']>([]);
  const [title, setTitle] = useState('');
  const { data } = useEngineFilters(at);
  const { choose } = useEngineWrites();
  const toggle = (key: string, value: string) => {
    const before = choices.find((each) => each.key === key)?.values ?? [];
    const values = before.includes(value) ? before.filter((each) => each !== value) : [...before, value];
    const rest = choices.filter((each) => each.key !== key);
    setChoices(values.length > 0 ? [...rest, { key, values }] : rest);
  };
  const isOn = (key: string, value: string) =>
    choices.find((each) => each.key === key)?.values.includes(value) ?? false;
  return (
    <Dialog title="A narrowed listing for search engines" isOpen close={close} width="max-w-2xl">
      <span className="mb-1 block font-semibold">Goods of</span>
      {at ? (
        <TargetName
          to={at}
          remove={() => {
            setAt(null);
            setChoices([]);
          }}
        />
      ) : (
        <ChooseTarget
          label="All goods, or those of a group"
          kinds={['category', 'collection', 'brand', 'tag']}
          choose={(target) => {
            if (target.kind === 'page' || target.kind === 'product') return;
            setAt({ kind: target.kind, id: target.id });
            setChoices([]);
          }}
        />
      )}
      <div className="mt-3 max-h-[38vh] overflow-y-auto rounded-lg border border-line p-3">
        {!data && <Loading rows={3} />}
        {data?.filters.map(({ key, label, values }) => (
          <fieldset key={key} className="mb-2">
            <legend className="text-xs text-ink-2">{label}</legend>
            <div className="flex flex-wrap gap-1">
              {values.map(({ value, label: name, count: goods }) => (
                <button
                  key={value}
                  type="button"
                  aria-pressed={isOn(key, value)}
                  onClick={() => toggle(key, value)}
                  className="rounded-lg bg-sunk px-2 py-0.5 hover:bg-line aria-pressed:bg-ink aria-pressed:text-sheet"
                >
                  {name} <span className="text-xs tabular-nums opacity-70">{goods}</span>
                </button>
              ))}
            </div>
          </fieldset>
        ))}
      </div>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          choose.mutate({ at, choices, title }, { onSuccess: close, onError: fail });
        }}
      >
        <label className="mt-3 block">
          <span className="mb-1 block font-semibold">Title</span>
          <input
            value={title}
            maxLength={120}
            placeholder="Red deltas"
            onChange={(event) => setTitle(event.target.value)}
            className="field w-full"
          />
        </label>
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={close}>Not now</Button>
          <Button type="submit" look="main" disabled={choices.length === 0 || title.trim() === '' || choose.isPending}>
            Choose it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

const kindWords: Readonly<Record<ShownPage['kind'], string>> = {
  page: 'Pages',
  category: 'Categories',
  collection: 'Collections',
  brand: 'Brands',
  tag: 'Tags',
  chosenListing: 'Chosen listings',
  product: 'Products',
};

/** Everything that is shown, as it may look in a list of results. */
function Shown({ pages, total, origin }: { pages: readonly ShownPage[]; total: number; origin: string }) {
  const [kind, setKind] = useState<ShownPage['kind']>('page');
  const kinds = (Object.keys(kindWords) as ShownPage['kind'][]).filter((each) =>
    pages.some((page) => page.kind === each),
  );
  const of = pages.filter((page) => page.kind === kind);
  return (
    <section aria-label="What search engines may show" className="sheet max-w-5xl p-4">
      <h2 className="font-display text-lg font-bold">What search engines may show</h2>
      <p className="mb-2 text-ink-2">
        {count(total)} pages stand in the{' '}
        <a href="/sitemap.xml" target="_blank" rel="noreferrer" className="underline">
          sitemap
        </a>
        . Searches, tags without a text, and listings that are narrowed or sorted do not, until you choose them.
      </p>
      <div className="mb-2 flex flex-wrap gap-1">
        {kinds.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={each === kind}
            onClick={() => setKind(each)}
            className="rounded-lg bg-sunk px-2.5 py-1 hover:bg-line aria-pressed:bg-ink aria-pressed:text-sheet"
          >
            {kindWords[each]}
          </button>
        ))}
      </div>
      <ul className="divide-y divide-hair">
        {of.slice(0, 60).map((page) => (
          <li key={page.url} className="flex items-start justify-between gap-4 py-2">
            <ResultPreview origin={origin} {...page} />
            {deskPath[page.kind] && (
              <To
                to={deskPath[page.kind]!(page.id)}
                className="shrink-0 rounded-lg px-2 py-1 font-medium text-ink-2 hover:bg-sunk"
              >
                Open
              </To>
            )}
          </li>
        ))}
        {of.length > 60 && <li className="py-2 text-ink-2">And {count(of.length - 60)} more.</li>}
      </ul>
    </section>
  );
}

/** What search engines are told of the shop. */
export function Engines() {
  const { data, error } = useEngines();
  const [isChoosing, setChoosing] = useState(false);
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={8} />;
  const shopName =
    data.pages
      .find(({ url }) => url === '/')
      ?.title.split(' · ')
      .at(-1) ?? '';
  return (
    <>
      <Conflicts conflicts={data.conflicts} />
      <section aria-label="Chosen listings" className="sheet mb-4 max-w-5xl p-4">
        <div className="flex flex-wrap items-center justify-between gap-2">
          <h2 className="font-display text-lg font-bold">Chosen listings</h2>
          <Button onClick={() => setChoosing(true)}>
            <Plus size={13} aria-hidden="true" /> Choose one
          </Button>
        </div>
        {data.chosen.length === 0 ? (
          <Empty title="None chosen yet">
            Shoppers can narrow a listing in hundreds of ways, and search engines see none of them. Choose the few that
            people search for, such as “red deltas”: each gets its own address, title and text.
          </Empty>
        ) : (
          <ul className="divide-y divide-hair">
            {data.chosen.map((row) => (
              <Chosen key={row.chosen.id} row={row} origin={data.origin} shopName={shopName} />
            ))}
          </ul>
        )}
      </section>
      <Shown pages={data.pages} total={data.total} origin={data.origin} />
      {isChoosing && <ChooseListing close={() => setChoosing(false)} />}
    </>
  );
}
