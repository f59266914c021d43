import type { Option, Product } from '../model/product';
import type { NewId } from '../products/merge-split';
import { MAX_OPTIONS } from '../products/variants';
import { isSameName } from '../shared/same-name';
import type { FileCells } from './file-cells';
import type { Refuse } from './planned';

/** The options of the product after the rows, and which values each row has. */
export function plannedOptions(
  { at: textAt, placeOf, table }: FileCells,
  rows: readonly number[],
  base: Product,
  newId: NewId,
  refuse: Refuse,
): { options: Option[]; rowValues: Map<number, string[]> } {
  const rowValues = new Map<number, string[]>();
  const places = Array.from({ length: MAX_OPTIONS }, (_, i) => ({
    name: placeOf(`option ${i + 1} name`),
    value: placeOf(`option ${i + 1} value`),
  })).filter(({ value }) => value !== undefined);
  if (places.length === 0) return { options: base.options, rowValues };
  const nameOf = ({ name, value }: (typeof places)[number], i: number) =>
    (name === undefined ? '' : (rows.map((row) => textAt(row, name)).find(Boolean) ?? '')) ||
    (base.options[i]?.name ?? table.head[value!]!);
  const used = places
    .map((place, i) => ({ ...place, called: nameOf(place, i) }))
    .filter(({ value }) => rows.some((row) => textAt(row, value!) !== ''));
  if (used.length === 0) return { options: base.options, rowValues };
  const isOwn = base.options.length > 0;
  const options: Option[] = isOwn
    ? [...base.options]
    : used.map(({ called }) => ({ id: newId('option'), name: called, listId: null, values: [] }));
  const order = used.map(({ called }) => options.findIndex(({ name }) => isSameName(name, called)));
  const unknown = order.findIndex((place) => place < 0);
  if (unknown >= 0 || used.length !== options.length) {
    const names = options.map(({ name }) => name).join(', ');
    refuse(rows[0]!, used[Math.max(0, unknown)]!.value, `“${base.title}” has these options: ${names}.`);
    return { options: base.options, rowValues };
  }
  for (const row of rows) {
    const values: string[] = options.map(() => '');
    used.forEach(({ value, called }, i) => {
      const text = textAt(row, value!);
      if (text === '') return refuse(row, value, `This variant needs a value of “${called}”.`);
      const at = order[i]!;
      const option = options[at]!;
      let known = option.values.find(({ name }) => isSameName(name, text));
      if (!known) {
        known = { id: newId('optionValue'), name: text, swatch: null, pictureId: null };
        options[at] = { ...option, values: [...option.values, known] };
      }
      values[at] = known.id;
    });
    rowValues.set(row, values);
  }
  const isSame = options.every((option, i) => option === base.options[i]);
  return { options: isSame && isOwn ? base.options : options, rowValues };
}
