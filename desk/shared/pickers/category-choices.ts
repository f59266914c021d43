import type { Choice } from '../ui/choose';

interface Row {
  id: string;
  name: string;
  parentId: string | null;
}

/**
 * Categories to choose from. Where two have the same name, each shows what it stands in; `noteOf` tells what else is to be
 * known of one.
 */
export function categoryChoices(rows: readonly Row[], noteOf?: (id: string) => string | undefined): Choice[] {
  const byId = new Map(rows.map((row) => [row.id, row]));
  const times = new Map<string, number>();
  for (const { name } of rows) times.set(name, (times.get(name) ?? 0) + 1);
  const pathOf = ({ name, parentId }: Row): string => {
    const parent = byId.get(parentId ?? '');
    return parent ? `${pathOf(parent)} › ${name}` : name;
  };
  return rows.map((row) => ({
    value: row.id,
    label: times.get(row.name)! > 1 ? pathOf(row) : row.name,
    note: noteOf?.(row.id),
  }));
}
