/** A bound as addresses hold it: with so many decimals at most, and not below `least`. An open end stays open. */
export function boundOf(x: number, decimals: number, least: number): number {
  if (!Number.isFinite(x)) return x;
  const scale = 10 ** decimals;
  return Math.min(99_999_999, Math.max(least, Math.round(x * scale) / scale));
}

/**
 * Reads an amount as people type it in a shop: "20", "€20", "1.000,50", "1,000.50", "20,5". NaN for what is no number. One
 * sign that could part thousands or decimals parts thousands where three digits follow it and `locale` writes them so.
 */
export function readNumber(typed: string, locale: string): number {
  const bare = typed.replace(/[\p{Sc}\s\u00a0']/gu, '').replace(/^[a-z]{1,3}|[a-z]{1,3}$/gi, '');
  if (!/^-?[\d.,]*\d[\d.,]*$/.test(bare)) return NaN;
  const signs = [...bare.matchAll(/[.,]/g)].map(([sign]) => sign);
  const last = signs.at(-1);
  if (last === undefined) return Number(bare);
  const isSeveral = signs.filter((sign) => sign === last).length > 1;
  const isMixed = signs.some((sign) => sign !== last);
  const decimals = bare.length - bare.lastIndexOf(last) - 1;
  const group = new Intl.NumberFormat(locale).formatToParts(1_000_000).find(({ type }) => type === 'group')?.value;
  const partsThousands = isSeveral || (!isMixed && decimals === 3 && (last === group || group === undefined));
  const decimal = partsThousands ? undefined : last;
  const plain = [...bare].map((sign) => (sign === decimal ? '.' : sign === '.' || sign === ',' ? '' : sign)).join('');
  return Number(plain);
}
