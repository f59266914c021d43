import type { Product, Variant } from '../model/product';
import { MAX_OPTIONS } from '../products/variants';
import type { ExchangeColumn } from './column';

/** Which option a column of options is about, from 1, and whether it holds its name or its value. */
interface OptionColumn {
  place: number;
  holds: 'name' | 'value';
}
export function optionColumnOf(key: string): OptionColumn | undefined {
  const match = /^option (\d) (name|value)$/.exec(key);
  return match ? { place: Number(match[1]), holds: match[2] as 'name' | 'value' } : undefined;
}

/** What variants of a product differ in, and what each has of it. */
export const optionColumns: readonly ExchangeColumn[] = Array.from({ length: MAX_OPTIONS }, (_, i) => i).flatMap(
  (i) => [
    {
      key: `option ${i + 1} name`,
      label: `Option ${i + 1}`,
      explains: 'What the variants of the product differ in, such as “Colour”.',
      aliases: [`option${i + 1} name`, `option ${i + 1} name`, `attribute ${i + 1} name`, `variante ${i + 1} name`],
      of: 'product' as const,
      type: 'text' as const,
      write: ({ options }: Product) => options[i]?.name ?? null,
      read: (text: string) => ({ value: text }),
    },
    {
      key: `option ${i + 1} value`,
      label: `Value ${i + 1}`,
      explains: 'The value that this variant has.',
      aliases: [
        `option${i + 1} value`,
        `option ${i + 1} value`,
        `attribute ${i + 1} value(s)`,
        `variante ${i + 1} wert`,
      ],
      of: 'variant' as const,
      type: 'text' as const,
      write: ({ options }: Product, variant: Variant | undefined) =>
        options[i]?.values.find(({ id }) => id === variant?.values[i])?.name ?? null,
      read: (text: string) => ({ value: text }),
    },
  ],
);
