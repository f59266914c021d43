import type { ImportAnswer, ImportSettings } from '../../contract/exchange';
import { mapped, mappingOf, type Mapping } from '../../core/exchange/mapping';
import { newId } from '../shared/ids';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { putKept, readKept } from '../store/kept-columns';
import { changeImport } from './imports';
import { columnsOf, importOrRefuse, settingsOf, tableOf } from './plan-of-file';

/** What is kept under a name: how columns are taken, and what rows do. */
interface KeptMapping {
  columns: Mapping;
  ways: Pick<ImportSettings, 'decimal' | 'way' | 'makesGroups' | 'draftsMissing'>;
}

/** Keeps under a name how the columns of a file are taken. */
export async function keepMapping(catalog: Catalog, id: string, name: string): Promise<string> {
  const row = importOrRefuse(catalog, id);
  const settings = settingsOf(row);
  const { head } = await tableOf(row, settings);
  const { decimal, way, makesGroups, draftsMissing } = settings;
  const body: KeptMapping = {
    columns: mappingOf(settings, head),
    ways: { decimal, way, makesGroups, draftsMissing },
  };
  const kept = newId('columns');
  putKept(catalog.db, 'column_mapping', { id: kept, name, body });
  return kept;
}

/** Takes the columns of a file as they were kept under a name; headings that are not known there stay as they are. */
export async function takeMapping(catalog: Catalog, id: string, mappingId: string): Promise<ImportAnswer> {
  const row = importOrRefuse(catalog, id);
  const kept = readKept<KeptMapping>(catalog.db, 'column_mapping').find((each) => each.id === mappingId)?.body;
  if (!kept) throw notFound(refusals.noSuchMapping);
  const settings = settingsOf(row);
  const { head } = await tableOf(row, settings);
  const known = new Set(columnsOf(catalog).map(({ key }) => key));
  const { fills, switches, match } = mapped(kept.columns, head, settings.columns, known);
  return changeImport(catalog, id, { ...kept.ways, fills, switches, ...(match && { match }) });
}
