import type { ImportAnswer, ImportSettings } from '../../contract/exchange';
import { columnPlaceOf, matchings, OWN_FIELD } from '../../core/exchange/choices';
import { headingKey } from '../../core/exchange/recognise';
import { newId } from '../shared/ids';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { putKept, readKept } from '../store/kept-columns';
import { changeImport } from './imports';
import { columnsOf, importOrRefuse, settingsOf, tableOf } from './plan-of-file';

/** What is kept of how a file is taken: what each heading fills, and what rows do. */
interface Mapping extends Pick<ImportSettings, 'decimal' | 'way' | 'makesGroups' | 'draftsMissing'> {
  fills: Record<string, string>;
  off: string[];
  /** by a usual number, or by the heading of a column */
  match: string;
}

/** Keeps under a name how the columns of a file are taken. */
export async function keepMapping(catalog: Catalog, id: string, name: string): Promise<string> {
  const row = importOrRefuse(catalog, id);
  const settings = settingsOf(row);
  const { head } = await tableOf(row, settings);
  const keyAt = (place: number) => headingKey(head[place] ?? '');
  const { decimal, way, makesGroups, draftsMissing, match, columns, columnsOff } = settings;
  const place = columnPlaceOf(match);
  const body: Mapping = {
    ...{ decimal, way, makesGroups, draftsMissing },
    fills: Object.fromEntries(columns.flatMap((key, at) => (key === null ? [] : [[keyAt(at), key]]))),
    off: columnsOff.map(keyAt),
    match: place === undefined ? match : `heading:${keyAt(place)}`,
  };
  const kept = newId('columns');
  putKept(catalog.db, 'column_mapping', { id: kept, name, body });
  return kept;
}

/** Takes the columns of a file as they were kept under a name; headings that are not known there stay as they are. */
export async function takeMapping(catalog: Catalog, id: string, mappingId: string): Promise<ImportAnswer> {
  const row = importOrRefuse(catalog, id);
  const mapping = readKept<Mapping>(catalog.db, 'column_mapping').find((each) => each.id === mappingId)?.body;
  if (!mapping) throw notFound(refusals.noSuchMapping);
  const settings = settingsOf(row);
  const { head } = await tableOf(row, settings);
  const keys = head.map(headingKey);
  const known = new Set(columnsOf(catalog).map(({ key }) => key)).add(OWN_FIELD);
  const fills: Record<string, string | null> = {};
  const given = new Set<string>();
  keys.forEach((key, place) => {
    const fill = mapping.fills[key];
    if (fill === undefined || !known.has(fill) || (fill !== OWN_FIELD && given.has(fill))) return;
    fills[place] = fill;
    given.add(fill);
  });
  // What the mapping gives to one column, no other one has.
  settings.columns.forEach((key, place) => {
    if (key !== null && given.has(key) && key !== OWN_FIELD && !(place in fills)) fills[place] = null;
  });
  const { decimal, way, makesGroups, draftsMissing } = mapping;
  const matched = mapping.match.startsWith('heading:') ? keys.indexOf(mapping.match.slice('heading:'.length)) : -1;
  const match = matched >= 0 ? (`column:${matched}` as const) : matchings.find((each) => each === mapping.match);
  return changeImport(catalog, id, {
    ...{ decimal, way, makesGroups, draftsMissing, fills },
    ...(match && { match }),
    switches: Object.fromEntries(keys.map((key, place) => [place, !mapping.off.includes(key)])),
  });
}
