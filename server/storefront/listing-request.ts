import { refusals } from '../shared/refusals';
import { MAX_PAGE, type ListingPlace, type ListingRequest } from '../../core/storefront/listing-view';
import { isOpen, type GroupKind } from '../../core/shop/open-groups';
import type { Shop } from '../../core/shop/shop';
import { problemTypes, type FieldError } from '../../contract/problem';
import { readNumber } from '../../shop/listing/read-number';
import { notFound, ProblemError } from '../shared/problem';

const MAX_VALUES = 50;

type Query = Record<string, unknown>;

function impossible(errors: FieldError[]): ProblemError {
  return new ProblemError({
    type: problemTypes.invalid,
    title: refusals.addressCannotBe,
    status: 400,
    errors,
  });
}

/** The last of a repeated parameter counts. */
function text(query: Query, name: string): string {
  const value = query[name];
  const last = Array.isArray(value) ? value.at(-1) : value;
  return typeof last === 'string' ? last : '';
}

function pageOf(query: Query): number {
  const typed = text(query, 'page');
  if (typed === '') return 1;
  const page = Number(typed);
  if (!/^\d+$/.test(typed) || page < 1 || page > MAX_PAGE)
    throw impossible([{ path: ['page'], message: refusals.pages(MAX_PAGE) }]);
  return page;
}

function priceOf(query: Query): ListingRequest['price'] {
  const typed = text(query, 'f.price');
  if (typed === '') return null;
  const match = /^(\d{1,8}(?:\.\d{1,2})?)?\.\.(\d{1,8}(?:\.\d{1,2})?)?$/.exec(typed);
  const message = 'Prices look like 10..50, 10.. or ..50.';
  if (!match || (match[1] === undefined && match[2] === undefined)) throw impossible([{ path: ['f.price'], message }]);
  const minor = (amount: string) => Math.round(Number(amount) * 100);
  const min = match[1] === undefined ? -Infinity : minor(match[1]);
  const max = match[2] === undefined ? Infinity : minor(match[2]);
  if (min > max) throw impossible([{ path: ['f.price'], message: refusals.pricesCrossed }]);
  return { min, max };
}

/** A wanted span of a spec, such as 80..120, in its unit; undefined when it is a choice. */
function spanOf(name: string, typed: string): { min: number; max: number } | undefined {
  if (!typed.includes('..')) return undefined;
  const match = /^(-?\d{1,9}(?:\.\d{1,3})?)?\.\.(-?\d{1,9}(?:\.\d{1,3})?)?$/.exec(typed);
  if (!match || (match[1] === undefined && match[2] === undefined))
    throw impossible([{ path: [name], message: refusals.spans }]);
  const [min, max] = [Number(match[1] ?? -Infinity), Number(match[2] ?? Infinity)];
  if (min > max) throw impossible([{ path: [name], message: refusals.spanCrossed }]);
  return { min, max };
}

/** All of a repeated parameter, as a form without script sends several values. */
function texts(query: Query, name: string): string {
  const value = query[name];
  return (Array.isArray(value) ? value : [value]).filter((each) => typeof each === 'string').join(',');
}

/** Spans whose two ends came by themselves, as a form without script sends them, written as one. */
function withWholeSpans(query: Query, locale: string): Query {
  const whole: Query = { ...query };
  for (const name of Object.keys(query)) {
    const [, of] = /^(f\..+)\.(?:from|to)$/.exec(name) ?? [];
    if (of === undefined || of in query) continue;
    const end = (which: string) => {
      const typed = text(query, `${of}.${which}`).trim();
      const read = readNumber(typed, locale);
      return Number.isNaN(read) ? typed : String(read);
    };
    const isEmpty = end('from') === '' && end('to') === '';
    if (!isEmpty) whole[of] = `${end('from')}..${end('to')}`;
    delete whole[name];
  }
  return whole;
}

/** Reads a listing request from an address; numbers that a form sent as they were typed are read as `locale` writes them. Unknown parameters are ignored; impossible ones are refused with 400. */
export function listingRequest(asked: Query, at: ListingPlace, locale: string): ListingRequest {
  const query = withWholeSpans(asked, locale);
  const choices = new Map<string, string[]>();
  const spans = new Map<string, { min: number; max: number }>();
  for (const name of Object.keys(query)) {
    if (!name.startsWith('f.') || name === 'f.price') continue;
    const span = name.startsWith('f.spec.') ? spanOf(name, text(query, name)) : undefined;
    if (span) {
      spans.set(name.slice(2), span);
      continue;
    }
    const values = texts(query, name).slice(0, 4_000).split(',').filter(Boolean).slice(0, MAX_VALUES);
    if (values.length > 0) choices.set(name.slice(2), values);
  }
  return {
    at,
    q: text(query, 'q'),
    page: pageOf(query),
    sort: text(query, 'sort'),
    choices,
    price: priceOf(query),
    spans,
  };
}

/** The place that `at=category:<slug>`, `at=collection:<slug>`, `at=brand:<slug>`, `at=tag:<slug>` or `at=all` names. */
export function placeOf(shop: Shop, query: Query): ListingPlace {
  const at = text(query, 'at');
  if (at === '' || at === 'all') return { kind: 'all' };
  const match = /^(category|collection|brand|tag):(.+)$/.exec(at);
  if (!match) throw impossible([{ path: ['at'], message: refusals.places }]);
  const kind = match[1] as GroupKind;
  const id = shop.bySlug(kind, match[2]!);
  if (!id || !isOpen(shop, { kind, id })) throw notFound(refusals.noGroupAt(kind, match[2]!.slice(0, 80)));
  return { kind, id };
}
