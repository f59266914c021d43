import clsx from 'clsx';
import { Link } from 'react-router';
import type { AnswerOf } from '../../../contract/route';
import type { deskRoutes } from '../../../contract/desk';
import { Thumb } from '../../shared/ui/thumb';

type Review = AnswerOf<typeof deskRoutes.review>;
type Change = Review['changes'][number];
type Place = Review['places'][number];

const kindWords: Record<Change['kind'], string> = {
  product: 'product',
  category: 'category',
  collection: 'collection',
  brand: 'brand',
  tag: 'tag',
  specSheet: 'spec sheet',
  page: 'page',
  offer: 'offer',
  embed: 'goods on another site',
  feed: 'feed',
  menu: 'menu',
  settings: 'settings',
  redirect: 'forwarding address',
  forward: 'forwarding address',
  chosenListing: 'listing for search engines',
  wording: 'translation',
  wordingDraft: 'draft of a translation',
};

const addresses: Partial<Record<Change['kind'], (key: string) => string>> = {
  product: (key) => `/goods/${key}`,
  collection: (key) => `/groups/${key}`,
  page: (key) => `/shopfront?page=${key}`,
  menu: () => '/shopfront',
  category: () => '/groups',
  offer: (key) => `/prices/${key}`,
  embed: (key) => `/shopfront?view=elsewhere&embed=${key}`,
  feed: (key) => `/exchange?part=channels&feed=${key}`,
  wording: (key) => `/words?at=${encodeURIComponent(key)}`,
  forward: () => '/words?part=forwards',
  chosenListing: () => '/words?part=engines',
};

const isPrice = (label: string) => label.startsWith('Price');

function Sheet({ title, note, children }: { title: string; note: string; children: React.ReactNode }) {
  return (
    <section className="sheet">
      <h2 className="border-b border-hair px-3.5 py-2.5 font-display text-[15px] font-bold">
        {title} <span className="ml-1 font-sans text-xs font-semibold text-ink-2">{note}</span>
      </h2>
      <ul>{children}</ul>
    </section>
  );
}

function Head({ change }: { change: Change }) {
  const to = addresses[change.kind]?.(change.key);
  return (
    <span className="flex w-56 shrink-0 items-center gap-2.5">
      {change.kind === 'product' && <Thumb src={change.thumbnail} className="size-8" />}
      <span className="min-w-0">
        {to && change.what !== 'gone' ? (
          <Link to={to} className="block truncate font-semibold hover:underline" title={change.title}>
            {change.title}
          </Link>
        ) : (
          <span className="block truncate font-semibold">{change.title}</span>
        )}
        {change.kind !== 'product' && <span className="text-xs text-ink-2">{kindWords[change.kind]}</span>}
      </span>
    </span>
  );
}

function Field({ label, before, after, showLabel }: Change['fields'][number] & { showLabel: boolean }) {
  return (
    <p className="min-w-0 break-words">
      {showLabel && <span className="text-ink-2">{label}: </span>}
      {before && before !== 'as before' && <s className="mr-2 text-ink-2">{before}</s>}
      <strong className="font-semibold">{after || <span className="text-rose">nothing</span>}</strong>
    </p>
  );
}

const row = 'flex items-start gap-4 border-b border-hair px-3.5 py-2 last:border-0';

function Prices({ changes }: { changes: Change[] }) {
  if (changes.length === 0) return null;
  return (
    <Sheet title="Prices" note={`of ${changes.length} ${changes.length === 1 ? 'product' : 'products'}`}>
      {changes.map((change) => (
        <li key={change.key} className={row}>
          <Head change={change} />
          <div className="flex min-w-0 flex-1 flex-col gap-0.5 pt-1">
            {change.fields
              .filter(({ label }) => isPrice(label))
              .map((field) => (
                <Field
                  key={field.label}
                  {...field}
                  label={field.label.replace(/^Price /, '')}
                  showLabel={field.label !== 'Price'}
                />
              ))}
          </div>
        </li>
      ))}
    </Sheet>
  );
}

function Strip({ goods, mark }: { goods: Place['shown']; mark: (id: string) => 'joined' | 'left' | undefined }) {
  return goods.map((good) => {
    const how = mark(good.id);
    return (
      <span
        key={`${good.id} ${how}`}
        title={good.title}
        className={clsx(
          'rounded-[9px]',
          how === 'joined' && 'ring-2 ring-petrol',
          how === 'left' && 'opacity-50 outline-2 outline-dashed outline-rose',
        )}
      >
        <Thumb src={good.thumbnail} alt={good.title} className="size-8" />
      </span>
    );
  });
}

function Places({ places }: { places: Place[] }) {
  if (places.length === 0) return null;
  return (
    <Sheet title="Who appears where" note={`${places.length} ${places.length === 1 ? 'place' : 'places'}`}>
      {places.map((place) => {
        const joined = new Set(place.joined.map(({ id }) => id));
        return (
          <li key={`${place.kind} ${place.id}`} className={row}>
            <span className="w-40 shrink-0">
              <span className="block truncate font-semibold">{place.page ?? place.title}</span>
              <span className="text-xs text-ink-2">{place.page ? place.title : place.kind}</span>
            </span>
            <span className="flex min-w-0 flex-1 flex-wrap items-center gap-1.5">
              <Strip
                goods={place.kind === 'section' ? place.shown : place.joined}
                mark={(id) => (joined.has(id) ? 'joined' : undefined)}
              />
              <Strip goods={place.left} mark={() => 'left'} />
              {place.reordered && place.joinedCount + place.leftCount === 0 && (
                <span className="text-ink-2">in another order</span>
              )}
            </span>
            <span className="shrink-0 pt-1 font-semibold">
              {place.joinedCount > 0 && <span className="text-petrol">+{place.joinedCount}</span>}{' '}
              {place.leftCount > 0 && <span className="text-rose">−{place.leftCount}</span>}
            </span>
          </li>
        );
      })}
    </Sheet>
  );
}

function Rest({ changes }: { changes: Change[] }) {
  if (changes.length === 0) return null;
  return (
    <Sheet title="New, changed and gone" note={String(changes.length)}>
      {changes.map((change) => (
        <li key={`${change.kind} ${change.key}`} className={row}>
          <Head change={change} />
          <div className="flex min-w-0 flex-1 flex-col gap-0.5 pt-1">
            {change.what === 'new' && <span className="font-semibold text-petrol">new</span>}
            {change.what === 'gone' && <span className="font-semibold text-rose">gone</span>}
            {change.fields
              .filter(({ label }) => change.kind !== 'product' || !isPrice(label))
              .map((field) => (
                <Field key={field.label} {...field} showLabel />
              ))}
          </div>
        </li>
      ))}
    </Sheet>
  );
}

/** What shoppers will notice, sorted by what matters most: prices, who stands where, the rest. */
export function Changes({ changes, places }: Pick<Review, 'changes' | 'places'>) {
  const priced = changes.filter(({ fields }) => fields.some(({ label }) => isPrice(label)));
  const rest = changes.filter(
    ({ what, fields }) => what !== 'changed' || fields.length === 0 || fields.some(({ label }) => !isPrice(label)),
  );
  return (
    <div className="flex flex-col gap-3">
      <Prices changes={priced} />
      <Places places={places} />
      <Rest changes={rest} />
    </div>
  );
}
