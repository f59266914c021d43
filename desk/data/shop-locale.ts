let locale = 'en';

/** The language of the shop, by which amounts are read. */
export const shopLocale = (): string => locale;

export function setShopLocale(next: string): void {
  locale = next;
}
