import type { EmbedView } from '../../core/storefront/embed-view';

/** Says what stands around goods, in the language of the embed; {name} is filled in. */
export const say = (
  { words }: EmbedView,
  key: string,
  filled: Readonly<Record<string, string | number>> = {},
): string => (words[key] ?? '').replace(/\{(\w+)\}/g, (whole, name: string) => String(filled[name] ?? whole));
